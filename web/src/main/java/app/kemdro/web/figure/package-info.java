/** What the figure shows and which zones can be pressed. */
@NullMarked
package app.kemdro.web.figure;

import org.jspecify.annotations.NullMarked;
