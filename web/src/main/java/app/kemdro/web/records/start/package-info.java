/** Looks that are kept as a start for others. */
@NullMarked
package app.kemdro.web.records.start;

import org.jspecify.annotations.NullMarked;
