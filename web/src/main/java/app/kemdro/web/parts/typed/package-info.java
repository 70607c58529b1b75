/** Forms that two people may have open at once: what each changed is kept, and where both changed the same they are asked. */
@NullMarked
package app.kemdro.web.parts.typed;

import org.jspecify.annotations.NullMarked;
