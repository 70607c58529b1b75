package app.kemdro.core.strike;

import app.kemdro.core.material.Material;
import app.kemdro.core.strike.RemovalRules.Kind;
import java.util.List;
import java.util.Optional;

/** Layers of one zone that leave together. */
record Peel(String key, Optional<Kind> kind, Material first, Optional<Material> glue, List<Material> takes) {}
