/** Jobs by call time. */
@NullMarked
package app.kemdro.web.shelf;

import org.jspecify.annotations.NullMarked;
