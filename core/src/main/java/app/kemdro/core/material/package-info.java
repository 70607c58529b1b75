/** Families of products: films, windows, what they ruin, what removes them. */
@NullMarked
package app.kemdro.core.material;

import org.jspecify.annotations.NullMarked;
