package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Lab;
import org.jspecify.annotations.Nullable;

/**
 * What a swatch says.
 *
 * @param name of the paint; two swatches never share one
 * @param family its family of materials
 * @param white colour over the white half of a card
 * @param black colour over the black half; none where it was not looked at
 * @param grams weight of the film, g/m²
 * @param shimmers whether it is metallic, pearl or glitter, of which no colour is claimed
 */
public record SwatchValues(
        String name, String family, Lab white, @Nullable Lab black, double grams, boolean shimmers) {}
