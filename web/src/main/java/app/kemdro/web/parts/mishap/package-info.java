/** What goes wrong, said in plain words. */
@NullMarked
package app.kemdro.web.parts.mishap;

import org.jspecify.annotations.NullMarked;
