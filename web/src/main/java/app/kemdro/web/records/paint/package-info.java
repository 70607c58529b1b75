/** Paints as swatches, and the mixes kept with a job. */
@NullMarked
package app.kemdro.web.records.paint;

import org.jspecify.annotations.NullMarked;
