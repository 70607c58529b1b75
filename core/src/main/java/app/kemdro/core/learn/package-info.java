/** What logged times teach: an artist's own pace, growing out of the library's as runs are held. */
@NullMarked
package app.kemdro.core.learn;

import org.jspecify.annotations.NullMarked;
