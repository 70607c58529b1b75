/** Techniques and schools of the trade, read from data. */
@NullMarked
package app.kemdro.core.method;

import org.jspecify.annotations.NullMarked;
