/** Jobs as they are stored: brief, crew and look. */
@NullMarked
package app.kemdro.web.job;

import org.jspecify.annotations.NullMarked;
