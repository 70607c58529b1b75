/** Reference pictures of a character: what is meant to be made, pinned to zones, cropped, with notes and colours. */
@NullMarked
package app.kemdro.web.records.reference;

import org.jspecify.annotations.NullMarked;
