/** The strip across the top of every room of a job. */
@NullMarked
package app.kemdro.web.parts.ribbon;

import org.jspecify.annotations.NullMarked;
