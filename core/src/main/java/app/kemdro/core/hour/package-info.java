/** The hours of a house: what a clock on its wall says, and how long it really is, on nights whose clocks change as well. */
@NullMarked
package app.kemdro.core.hour;

import org.jspecify.annotations.NullMarked;
