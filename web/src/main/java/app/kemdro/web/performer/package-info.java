/** Those who sit: what is known of them, who has looked at it, and how it is forgotten. */
@NullMarked
package app.kemdro.web.performer;

import org.jspecify.annotations.NullMarked;
