/** How much of what a plan takes: amounts with what is lost, things by the piece, what takes it off again. */
@NullMarked
package app.kemdro.core.kit;

import org.jspecify.annotations.NullMarked;
