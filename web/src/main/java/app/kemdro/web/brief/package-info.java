/** Character, performer, crew, room, call and costume. */
@NullMarked
package app.kemdro.web.brief;

import org.jspecify.annotations.NullMarked;
