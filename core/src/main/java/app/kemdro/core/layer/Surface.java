package app.kemdro.core.layer;

import app.kemdro.core.material.Material;

/**
 * What is offered to the next layer.
 *
 * @param word a surface of layers.yaml
 * @param material id of the material that offers it, empty for the body itself
 */
public record Surface(String word, String material) {
    /** The body's own surface. */
    public static Surface body(String word) {
        return new Surface(word, "");
    }

    /** The surface of a layer. */
    public static Surface of(Material material) {
        return new Surface(material.surface(), material.id());
    }
}
