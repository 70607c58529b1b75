/** Sheets of paper. */
@NullMarked
package app.kemdro.web.parts.print;

import org.jspecify.annotations.NullMarked;
