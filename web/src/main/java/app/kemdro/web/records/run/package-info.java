/** Runs: what was reported in the chair, what follows from it, and the pictures taken. */
@NullMarked
package app.kemdro.web.records.run;

import org.jspecify.annotations.NullMarked;
