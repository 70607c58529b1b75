package app.kemdro.core.strike;

import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.strike.RemovalRules.Kind;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Layers that leave together, in all zones where they do, and what they wait for. */
final class Group {
    final String key;
    final Optional<Kind> kind;
    final Material first;
    Optional<Material> glue = Optional.empty();
    Optional<Material> remover = Optional.empty();
    final Set<String> zones = new LinkedHashSet<>();
    final Set<String> glued = new LinkedHashSet<>();
    final Map<String, List<Material>> takes = new LinkedHashMap<>();
    final Set<String> after = new LinkedHashSet<>();

    Group(String key, Peel peel) {
        this.key = key;
        this.kind = peel.kind();
        this.first = peel.first();
    }

    /** A form is held by glue in some of its zones; that has to be soaked. */
    void add(String zone, Peel peel) {
        zones.add(zone);
        takes.put(zone, peel.takes());
        glue = glue.or(peel::glue);
        if (peel.glue().isPresent()) {
            glued.add(zone);
        }
    }

    /** Where remover goes: where the glue of a form lies, and nowhere else; all over what is no form or has no glue. */
    Set<String> wet() {
        return glued.isEmpty() ? zones : glued;
    }

    /** Whether it is a form that nothing holds but itself or gravity, so that it comes off dry, by hand. */
    boolean liftsDry(RemovalRules customs) {
        // what was laid wet dried onto whatever lies below it
        return kind.filter(k -> !k.materials().contains(first.id())).isPresent()
                && glue.isEmpty()
                && !customs.clings().contains(first.kind());
    }

    Material soaked() {
        return glue.orElse(first);
    }

    int soak() {
        return 60 * Math.max(soaked().soakMinutes(), kind.isPresent() ? first.soakMinutes() : 0);
    }

    boolean floods() {
        return remover.isPresent() && soak() > 0;
    }

    boolean leavesFirst() {
        return kind.map(Kind::first).orElse(false);
    }

    /** Whether it is a thing with which fingers do nothing fine; lacquer of the same shelf, which is wiped off, binds none. */
    boolean bindsFingers() {
        return kind.isPresent() && first.is(MaterialRole.BINDS_FINGERS);
    }
}
