/** What is in the box: products of the house's kit. */
@NullMarked
package app.kemdro.web.product;

import org.jspecify.annotations.NullMarked;
