/** The screens, one package each; here is what every room of a job opens with. */
@NullMarked
package app.kemdro.web.rooms;

import org.jspecify.annotations.NullMarked;
