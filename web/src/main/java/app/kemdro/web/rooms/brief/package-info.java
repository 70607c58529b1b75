/** Character, performer, crew, room, call and costume. */
@NullMarked
package app.kemdro.web.rooms.brief;

import org.jspecify.annotations.NullMarked;
