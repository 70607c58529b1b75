/** Measurements; never on the application's class path. */
@NullMarked
package app.kemdro.bench;

import org.jspecify.annotations.NullMarked;
