/** The kit: what one day takes, what the house has of it, what must be bought, and what goes into the bag. */
@NullMarked
package app.kemdro.web.rooms.kit;

import org.jspecify.annotations.NullMarked;
