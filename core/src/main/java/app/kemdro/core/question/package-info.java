/** What an artist asks of a finished order before signing it; it is read as it stands, by the trade's data and not by how it was found. */
@NullMarked
package app.kemdro.core.question;

import org.jspecify.annotations.NullMarked;
