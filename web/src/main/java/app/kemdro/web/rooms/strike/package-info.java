/** How it comes off: the plan, live, and the skin afterwards. */
@NullMarked
package app.kemdro.web.rooms.strike;

import org.jspecify.annotations.NullMarked;
