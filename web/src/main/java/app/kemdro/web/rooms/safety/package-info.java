/** What is to be seen to before anybody is worked on. */
@NullMarked
package app.kemdro.web.rooms.safety;

import org.jspecify.annotations.NullMarked;
