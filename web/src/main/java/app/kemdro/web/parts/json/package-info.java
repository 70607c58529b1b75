/** JSON for scripts of a page. */
@NullMarked
package app.kemdro.web.parts.json;

import org.jspecify.annotations.NullMarked;
