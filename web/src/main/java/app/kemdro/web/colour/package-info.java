/** Paints as swatches, what their mixes look like, and the recipes kept with a job. */
@NullMarked
package app.kemdro.web.colour;

import org.jspecify.annotations.NullMarked;
