/** Who may do what, and what pages may load. */
@NullMarked
package app.kemdro.web.security;

import org.jspecify.annotations.NullMarked;
