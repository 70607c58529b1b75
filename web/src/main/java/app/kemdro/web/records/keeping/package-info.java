/** Backups of the whole house: made by themselves, read whole before they count, brought back. */
@NullMarked
package app.kemdro.web.records.keeping;

import org.jspecify.annotations.NullMarked;
