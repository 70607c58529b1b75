/** What runs teach: own pace, own times. */
@NullMarked
package app.kemdro.web.records.learning;

import org.jspecify.annotations.NullMarked;
