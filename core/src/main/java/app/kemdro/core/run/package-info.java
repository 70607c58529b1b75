/** What happened in the chair becomes what is now and what is next. */
@NullMarked
package app.kemdro.core.run;

import org.jspecify.annotations.NullMarked;
