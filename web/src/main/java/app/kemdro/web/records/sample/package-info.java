/** Jobs to begin with and the demo world; invented people and products only. */
@NullMarked
package app.kemdro.web.records.sample;

import org.jspecify.annotations.NullMarked;
