/** What is to be seen to before anybody is worked on: what blocks, what warns, what is only said. */
@NullMarked
package app.kemdro.core.safety;

import org.jspecify.annotations.NullMarked;
