/** When it will be ready, for those who wait. */
@NullMarked
package app.kemdro.web.rooms.floor;

import org.jspecify.annotations.NullMarked;
