/** What is to be seen to before work begins, and who has lifted it. */
@NullMarked
package app.kemdro.web.records.safety;

import org.jspecify.annotations.NullMarked;
