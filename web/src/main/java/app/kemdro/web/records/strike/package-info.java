/** How it came off: what was reported, and what is left to do. */
@NullMarked
package app.kemdro.web.records.strike;

import org.jspecify.annotations.NullMarked;
