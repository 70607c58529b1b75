/** Jobs as files, out and in. */
@NullMarked
package app.kemdro.web.rooms.exchange;

import org.jspecify.annotations.NullMarked;
