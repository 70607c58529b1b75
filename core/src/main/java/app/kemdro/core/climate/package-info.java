/** Humid air and evaporation. Knows nothing else. */
@NullMarked
package app.kemdro.core.climate;

import org.jspecify.annotations.NullMarked;
