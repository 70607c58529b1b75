/** The house: its kit, the trade's materials, the schools of its artists, its room. */
@NullMarked
package app.kemdro.web.house;

import org.jspecify.annotations.NullMarked;
