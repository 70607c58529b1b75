/** The room as it is: a sensor's lines, and a small stand-in that speaks them. */
@NullMarked
package app.kemdro.web.parts.sensor;

import org.jspecify.annotations.NullMarked;
