/** How everything comes off again: in which order, with what, how long it soaks. Planned from the layers, before they are laid. */
@NullMarked
package app.kemdro.core.strike;

import org.jspecify.annotations.NullMarked;
