/** Those who sit: what is known of them, and who has looked at it. */
@NullMarked
package app.kemdro.web.records.performer;

import org.jspecify.annotations.NullMarked;
