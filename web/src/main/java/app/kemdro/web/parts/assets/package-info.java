/** Styles, scripts, fonts and drawings that ship with the application. */
@NullMarked
package app.kemdro.web.parts.assets;

import org.jspecify.annotations.NullMarked;
