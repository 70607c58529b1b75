/** What is to be seen to before anybody is worked on, and what is known of the performer. */
@NullMarked
package app.kemdro.web.safety;

import org.jspecify.annotations.NullMarked;
