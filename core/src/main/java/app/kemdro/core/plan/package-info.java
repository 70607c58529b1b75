/** A look, a crew and a room become a network of tasks with their words. */
@NullMarked
package app.kemdro.core.plan;

import org.jspecify.annotations.NullMarked;
