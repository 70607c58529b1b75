/** What goes wrong, said in plain words. */
@NullMarked
package app.kemdro.web.mishap;

import org.jspecify.annotations.NullMarked;
