/** The demo world; invented people and products only. */
@NullMarked
package app.kemdro.web.demo;

import org.jspecify.annotations.NullMarked;
