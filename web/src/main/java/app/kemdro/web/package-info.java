/** The web application: one package a room, cut as the user sees it. */
@NullMarked
package app.kemdro.web;

import org.jspecify.annotations.NullMarked;
