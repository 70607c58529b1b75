/** Files that go out and tables that come in: what every room that has them shares. */
@NullMarked
package app.kemdro.web.file;

import org.jspecify.annotations.NullMarked;
