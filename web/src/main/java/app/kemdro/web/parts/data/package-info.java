/** Ways to ask the data that several records share. */
@NullMarked
package app.kemdro.web.parts.data;

import org.jspecify.annotations.NullMarked;
