/** Paints, what their mixes look like, and where each is laid. */
@NullMarked
package app.kemdro.web.rooms.colour;

import org.jspecify.annotations.NullMarked;
