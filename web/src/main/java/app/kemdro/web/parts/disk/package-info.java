/** The disk the house lies on: how much room there is, and what is said when there is none. */
@NullMarked
package app.kemdro.web.parts.disk;

import org.jspecify.annotations.NullMarked;
