/** What really happened. */
@NullMarked
package app.kemdro.web.book;

import org.jspecify.annotations.NullMarked;
