/** How somebody is forgotten, everywhere. */
@NullMarked
package app.kemdro.web.records.forgetting;

import org.jspecify.annotations.NullMarked;
