/** Zones of the human body, their areas and neighbours. Knows nothing else. */
@NullMarked
package app.kemdro.core.body;

import org.jspecify.annotations.NullMarked;
