/** A character described on a body, and the brief it is made under. */
@NullMarked
package app.kemdro.core.look;

import org.jspecify.annotations.NullMarked;
