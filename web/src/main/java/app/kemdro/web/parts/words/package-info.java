/** Times and changes in words. */
@NullMarked
package app.kemdro.web.parts.words;

import org.jspecify.annotations.NullMarked;
