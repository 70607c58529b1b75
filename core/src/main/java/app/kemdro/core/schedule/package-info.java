/** A network of tasks becomes times. Knows only tasks, zones and hands: no word of the trade. */
@NullMarked
package app.kemdro.core.schedule;

import org.jspecify.annotations.NullMarked;
