/** What is in the box: products of the house. */
@NullMarked
package app.kemdro.web.records.product;

import org.jspecify.annotations.NullMarked;
