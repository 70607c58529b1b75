/** Jobs: brief, crew and look. */
@NullMarked
package app.kemdro.web.records.job;

import org.jspecify.annotations.NullMarked;
