/** Who comes in: signing in, and the first lead of an empty house. */
@NullMarked
package app.kemdro.web.rooms.door;

import org.jspecify.annotations.NullMarked;
