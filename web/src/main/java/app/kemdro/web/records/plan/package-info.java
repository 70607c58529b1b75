/** Plans of jobs, made once per version, and what stands in their way. */
@NullMarked
package app.kemdro.web.records.plan;

import org.jspecify.annotations.NullMarked;
