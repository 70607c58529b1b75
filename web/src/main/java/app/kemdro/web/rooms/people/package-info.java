/** Who sits, whose hands, who may sign in. */
@NullMarked
package app.kemdro.web.rooms.people;

import org.jspecify.annotations.NullMarked;
