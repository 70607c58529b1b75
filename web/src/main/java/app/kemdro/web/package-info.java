/**
 * The web application in three rings: rooms are screens, records are what is kept, parts are what both share. Arrows go inwards only: rooms use
 * records and parts, records use parts, and no room uses another.
 */
@NullMarked
package app.kemdro.web;

import org.jspecify.annotations.NullMarked;
