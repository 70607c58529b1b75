/** Plans of jobs, made once per version, and what a change does to them in words. */
@NullMarked
package app.kemdro.web.plans;

import org.jspecify.annotations.NullMarked;
