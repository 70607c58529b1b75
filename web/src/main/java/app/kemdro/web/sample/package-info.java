/** A job to begin with, for whoever has none at hand; invented. */
@NullMarked
package app.kemdro.web.sample;

import org.jspecify.annotations.NullMarked;
