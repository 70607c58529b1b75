/** What the finished face looks like, zone by zone and layer by layer: the plan's layers, with colours. */
@NullMarked
package app.kemdro.core.sketch;

import org.jspecify.annotations.NullMarked;
