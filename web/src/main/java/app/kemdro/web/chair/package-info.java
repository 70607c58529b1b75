/** The run, live. */
@NullMarked
package app.kemdro.web.chair;

import org.jspecify.annotations.NullMarked;
