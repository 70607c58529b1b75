/** Files that go out and tables that come in. */
@NullMarked
package app.kemdro.web.parts.file;

import org.jspecify.annotations.NullMarked;
