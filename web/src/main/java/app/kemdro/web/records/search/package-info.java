/** Better orders, looked for beside the work: by themselves after a change, or for as long as somebody asked for. */
@NullMarked
package app.kemdro.web.records.search;

import org.jspecify.annotations.NullMarked;
