/** Tells screens that are open what has changed. */
@NullMarked
package app.kemdro.web.parts.live;

import org.jspecify.annotations.NullMarked;
