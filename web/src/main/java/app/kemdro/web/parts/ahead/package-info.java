/** What a press would bring, worked out before it is pressed. */
@NullMarked
package app.kemdro.web.parts.ahead;

import org.jspecify.annotations.NullMarked;
