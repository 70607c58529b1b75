/** What happens where on the body. */
@NullMarked
package app.kemdro.web.look;

import org.jspecify.annotations.NullMarked;
