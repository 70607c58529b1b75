/** What every room of a job has in common. */
@NullMarked
package app.kemdro.web.room;

import org.jspecify.annotations.NullMarked;
