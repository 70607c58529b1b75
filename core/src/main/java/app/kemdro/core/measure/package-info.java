/** What marks on a photograph say of a face: plain geometry, with the error that belongs to it. */
@org.jspecify.annotations.NullMarked
package app.kemdro.core.measure;
