/** The bench: what must be made before the day, and when. */
@NullMarked
package app.kemdro.web.bench;

import org.jspecify.annotations.NullMarked;
