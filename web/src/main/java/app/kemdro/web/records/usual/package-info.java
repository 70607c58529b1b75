/** What the house usually has, so that a new job begins with it. */
@NullMarked
package app.kemdro.web.records.usual;

import org.jspecify.annotations.NullMarked;
