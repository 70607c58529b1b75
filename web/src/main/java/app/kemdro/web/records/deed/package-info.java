/** Who did what to accounts, health, blocks and backups. */
@NullMarked
package app.kemdro.web.records.deed;

import org.jspecify.annotations.NullMarked;
