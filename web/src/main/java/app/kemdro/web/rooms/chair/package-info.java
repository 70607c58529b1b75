/** The run, live: what the hands see and press. */
@NullMarked
package app.kemdro.web.rooms.chair;

import org.jspecify.annotations.NullMarked;
