/** Reference pictures: what the character shall look like, pinned to the body, and one key away where one works. */
@NullMarked
package app.kemdro.web.rooms.picture;

import org.jspecify.annotations.NullMarked;
