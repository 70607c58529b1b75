/** Reads the trade's YAML files and says file, line and reason when one is broken. Knows nothing of the trade. */
@NullMarked
package app.kemdro.core.datafile;

import org.jspecify.annotations.NullMarked;
