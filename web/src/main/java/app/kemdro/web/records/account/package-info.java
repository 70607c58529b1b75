/** Accounts: who may sign in, and as what. */
@NullMarked
package app.kemdro.web.records.account;

import org.jspecify.annotations.NullMarked;
