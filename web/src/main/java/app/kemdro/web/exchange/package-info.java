/** Open formats in and out. */
@NullMarked
package app.kemdro.web.exchange;

import org.jspecify.annotations.NullMarked;
