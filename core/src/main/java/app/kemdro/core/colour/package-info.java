/** Colours of films: what a mix looks like, over what, after how many coats, in which light. Knows nothing of the trade. */
@NullMarked
package app.kemdro.core.colour;

import org.jspecify.annotations.NullMarked;
