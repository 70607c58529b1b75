/** What lies on what, whether it holds, and what would mend it. */
@NullMarked
package app.kemdro.core.layer;

import org.jspecify.annotations.NullMarked;
