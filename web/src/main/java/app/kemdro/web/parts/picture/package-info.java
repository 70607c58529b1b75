/** Pictures as they are kept: checked, made smaller, stripped, cropped, and what colour they have where. */
@NullMarked
package app.kemdro.web.parts.picture;

import org.jspecify.annotations.NullMarked;
