/** The room of people: who sits, whose hands, who may sign in. */
@NullMarked
package app.kemdro.web.people;

import org.jspecify.annotations.NullMarked;
