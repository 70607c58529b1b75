/** How it comes off: planned from the layers, with removers, soaking and hands. */
@NullMarked
package app.kemdro.web.strike;

import org.jspecify.annotations.NullMarked;
