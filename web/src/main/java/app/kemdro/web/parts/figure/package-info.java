/** What the figure shows and which zones can be pressed. */
@NullMarked
package app.kemdro.web.parts.figure;

import org.jspecify.annotations.NullMarked;
