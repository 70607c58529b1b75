/** The running order, drawn and as a list. */
@NullMarked
package app.kemdro.web.rooms.order;

import org.jspecify.annotations.NullMarked;
