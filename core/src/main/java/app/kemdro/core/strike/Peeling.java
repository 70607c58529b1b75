package app.kemdro.core.strike;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.strike.RemovalRules.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What leaves a zone in turn: forms with all that lies on them, then films pass by pass. */
final class Peeling {
    private final RemovalRules customs;

    Peeling(RemovalRules customs) {
        this.customs = customs;
    }

    /** What leaves a zone in turn, the outermost first: forms with all that lies on them, then films pass by pass. */
    List<Peel> peels(Stack stack, String part) {
        List<Stack.Layer> left = new ArrayList<>(stack.layers());
        List<Peel> peels = new ArrayList<>();
        left.removeIf(l -> {
            Optional<Kind> kind = customs.of(l).filter(Kind::alone);
            kind.ifPresent(
                    k -> peels.add(new Peel(key(k, l), kind, l.material(), Optional.empty(), List.of(l.material()))));
            return kind.isPresent();
        });
        for (int form = highestForm(left); form >= 0; form = highestForm(left)) {
            Stack.Layer layer = left.get(form);
            int lowest = form;
            while (lowest > 0 && left.get(lowest - 1).material().is(MaterialRole.GLUE)) {
                lowest--;
            }
            Optional<Material> glue =
                    lowest < form ? Optional.of(left.get(lowest).material()) : Optional.empty();
            Kind kind = customs.of(layer).orElseThrow();
            peels.add(new Peel(key(kind, layer), Optional.of(kind), layer.material(), glue, cut(left, lowest)));
        }
        for (int pass = 1; !left.isEmpty(); pass++) {
            Material film = outermost(left);
            int lowest = left.size() - 1;
            for (int i = 0; i < left.size(); i++) {
                if (family(left.get(i).material()).equals(family(film))) {
                    lowest = i;
                    break;
                }
            }
            peels.add(new Peel(
                    "film " + pass + " " + family(film) + " " + part,
                    Optional.empty(),
                    film,
                    Optional.empty(),
                    cut(left, lowest)));
        }
        return peels;
    }

    private static String key(Kind kind, Stack.Layer layer) {
        return kind.id() + " " + layer.entry() + " " + layer.material().id();
    }

    /** The outermost film that does not come off with what is below it, as powder does. */
    private static Material outermost(List<Stack.Layer> films) {
        for (int i = films.size() - 1; i >= 0; i--) {
            if (!films.get(i).material().is(MaterialRole.DUST)) {
                return films.get(i).material();
            }
        }
        return films.get(0).material();
    }

    /** Takes layers from this one on out of a zone, the outermost first. */
    private static List<Material> cut(List<Stack.Layer> left, int lowest) {
        List<Material> takes = new ArrayList<>();
        for (int i = left.size() - 1; i >= lowest; i--) {
            takes.add(left.get(i).material());
        }
        left.subList(lowest, left.size()).clear();
        return takes;
    }

    private int highestForm(List<Stack.Layer> layers) {
        for (int i = layers.size() - 1; i >= 0; i--) {
            if (customs.of(layers.get(i)).isPresent()) {
                return i;
            }
        }
        return -1;
    }

    /** Films that one remover takes off are wiped off together, with what lies between them. */
    private static String family(Material material) {
        return material.removedBy().isEmpty()
                ? material.id()
                : material.removedBy().get(0);
    }
}
