package app.kemdro.core.body;

import java.util.Set;

/**
 * An area of the performer that can be pressed on the figure.
 *
 * @param id stable name, as in the figure's drawings
 * @param name how artists say it
 * @param row the line of the running order it belongs to
 * @param region larger area whose preparation is one piece of work
 * @param areaCm2 real surface on the figure's head of 56 cm circumference, cm²
 * @param neighbours zones that share a border
 * @param place what kind of surface it is
 * @param hairy whether hair grows there that glue and latex would catch
 * @param blindInMirror whether a performer working on their own face reaches it without seeing it
 * @param inMirror how much longer fine work takes there on one's own face, at least
 */
public record Zone(
        String id,
        String name,
        String row,
        String region,
        double areaCm2,
        Set<String> neighbours,
        Place place,
        boolean hairy,
        boolean blindInMirror,
        double inMirror) {

    /** Whether it is skin that a viewer could see bare; teeth and nails are not. */
    public boolean isSkin() {
        return place != Place.TOOTH && place != Place.NAIL;
    }
}
