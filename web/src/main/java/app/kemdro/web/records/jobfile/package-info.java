/** A job as an open file, and a job once more. */
@NullMarked
package app.kemdro.web.records.jobfile;

import org.jspecify.annotations.NullMarked;
