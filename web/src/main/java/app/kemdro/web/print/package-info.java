/** Sheets of paper. */
@NullMarked
package app.kemdro.web.print;

import org.jspecify.annotations.NullMarked;
