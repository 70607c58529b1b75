/** The shelf: jobs by their call, and what is kept of each so that thousands can stand there. */
@NullMarked
package app.kemdro.web.records.shelf;

import org.jspecify.annotations.NullMarked;
