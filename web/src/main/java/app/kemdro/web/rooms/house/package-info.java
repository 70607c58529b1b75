/** The house: its kit, the trade's materials, the schools of its artists, its room, its backup. */
@NullMarked
package app.kemdro.web.rooms.house;

import org.jspecify.annotations.NullMarked;
