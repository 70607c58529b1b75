/** The exact search for an order, behind the core's port. */
@NullMarked
package app.kemdro.solver;

import org.jspecify.annotations.NullMarked;
