/** What goes out is said, and what comes in is understood, by the habit of whoever reads. */
@NullMarked
package app.kemdro.web.parts.habit;

import org.jspecify.annotations.NullMarked;
