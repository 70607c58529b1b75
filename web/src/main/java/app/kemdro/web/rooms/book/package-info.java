/** What really happened, day beside day, and what it teaches. */
@NullMarked
package app.kemdro.web.rooms.book;

import org.jspecify.annotations.NullMarked;
