/** What is kept. One package a record: what is stored, its store, and one small service; no screen. */
@NullMarked
package app.kemdro.web.records;

import org.jspecify.annotations.NullMarked;
