/** What happens where on the body. */
@NullMarked
package app.kemdro.web.rooms.look;

import org.jspecify.annotations.NullMarked;
