/** Secret addresses at which the floor reads when it will be ready. */
@NullMarked
package app.kemdro.web.records.floor;

import org.jspecify.annotations.NullMarked;
