/** Which school an artist takes where several would do. */
@NullMarked
package app.kemdro.web.records.school;

import org.jspecify.annotations.NullMarked;
