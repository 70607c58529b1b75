/** What a run uses up, and what is left of it. */
@NullMarked
package app.kemdro.web.records.stock;

import org.jspecify.annotations.NullMarked;
