/** Accounts, signing in, the first lead. */
@NullMarked
package app.kemdro.web.account;

import org.jspecify.annotations.NullMarked;
