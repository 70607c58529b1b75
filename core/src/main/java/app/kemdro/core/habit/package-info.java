/** How people are used to read and write units, hours, days and money. Kemdro itself reckons in one set of units. */
@NullMarked
package app.kemdro.core.habit;

import org.jspecify.annotations.NullMarked;
