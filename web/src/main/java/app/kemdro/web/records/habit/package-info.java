/** How each is used to read and write, and the house where nobody says otherwise. */
@NullMarked
package app.kemdro.web.records.habit;

import org.jspecify.annotations.NullMarked;
