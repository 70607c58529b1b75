/** Jobs by call time. */
@NullMarked
package app.kemdro.web.rooms.shelf;

import org.jspecify.annotations.NullMarked;
