/** The bench: what must be made before the day, and when. */
@NullMarked
package app.kemdro.web.rooms.bench;

import org.jspecify.annotations.NullMarked;
