/** What can be found in jobs and their books, kept as text so that a search looks through thousands at once. */
@NullMarked
package app.kemdro.web.records.finding;

import org.jspecify.annotations.NullMarked;
