/** When a film is tacky, when it closes, when it is clear. */
@NullMarked
package app.kemdro.core.cure;

import org.jspecify.annotations.NullMarked;
