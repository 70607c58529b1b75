package app.kemdro.core.kit;

import app.kemdro.core.material.Material;
import java.util.List;

/**
 * How much of a family of materials a day takes.
 *
 * @param laid g that reach the skin; 0 for what is counted
 * @param grams g with what tools and cup keep; 0 for what is counted
 * @param packed g with the reserve on top; 0 for what is counted
 * @param pieces how many, for what is counted; else 0
 * @param zones where it goes
 * @param removes whether it takes something off
 */
public record Need(
        Material family, double laid, double grams, double packed, int pieces, List<String> zones, boolean removes) {

    /** Whether it is counted by the piece. */
    public boolean isCounted() {
        return pieces > 0;
    }
}
