/** The drying card of a product or a family. */
@NullMarked
package app.kemdro.web.parts.card;

import org.jspecify.annotations.NullMarked;
