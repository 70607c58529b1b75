package app.kemdro.core.sketch;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How things look where nobody has measured them, from trade/colours.yaml; everything in it is a judgement.
 *
 * @param skins by id, the fairest first
 * @param brows share of a brow that is hair
 * @param films by family
 * @param forms colour of a form by family
 * @param techniques colour in which a technique is usually laid
 * @param covers share of a zone that a slot's work covers
 * @param shimmers families of which no colour is claimed
 */
public record Appearance(
        Map<String, Skin> skins,
        Reflectance hair,
        Map<Brows, Double> brows,
        Reflectance teeth,
        Reflectance nails,
        Map<String, Film> films,
        Map<String, Reflectance> forms,
        Map<String, Lab> techniques,
        Map<String, Double> covers,
        Set<String> shimmers) {

    /** A skin to choose. */
    public record Skin(String name, String hex, Reflectance reflectance) {}

    /**
     * A normal coat as it usually is.
     *
     * @param colour over the white half of a card
     * @param cover how light it stays over the black half, 0 to 1
     * @param grams weight of a normal coat, g/m²
     */
    public record Film(Lab colour, double cover, double grams) {
        /** A film of the same cover in another colour. */
        Paint in(Lab other) {
            return swatch(other, cover, grams);
        }

        /** The paint of it. */
        public Paint paint() {
            return in(colour);
        }
    }

    /** A paint known by its colour and by how light it stays over black. */
    public static Paint swatch(Lab colour, double cover, double grams) {
        return cover >= 1
                ? Paint.opaque(Reflectance.of(colour), grams)
                : Paint.fromSwatches(
                        Reflectance.of(colour),
                        Reflectance.of(
                                new Lab(Math.max(1, colour.l() * cover), colour.a() * cover, colour.b() * cover)),
                        grams);
    }

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Appearance standard(Trade trade) {
        DataNode file = DataNode.resource("/trade/colours.yaml");
        file.onlyKeys(Set.of(
                "skins", "hair", "brows", "teeth", "nails", "shimmers", "films", "forms", "techniques", "covers"));
        Map<String, Skin> skins = new LinkedHashMap<>();
        file.get("skins").entries().forEach((id, node) -> {
            node.onlyKeys(Set.of("name", "colour"));
            skins.put(
                    id,
                    new Skin(
                            node.get("name").text(),
                            node.get("colour").text(),
                            Reflectance.of(colour(node.get("colour")))));
        });
        Map<Brows, Double> brows = new HashMap<>();
        file.get("brows").entries().forEach((size, node) -> brows.put(Brows.valueOf(size), node.number(0, 1)));
        Map<String, Film> films = new HashMap<>();
        file.get("films").entries().forEach((family, node) -> {
            known(trade.materials().has(family), family, node);
            node.onlyKeys(Set.of("colour", "cover"));
            films.put(
                    family,
                    new Film(
                            colour(node.get("colour")),
                            node.get("cover").number(0, 1),
                            trade.materials().family(family).gramsPerCm2() * 10_000));
        });
        Map<String, Reflectance> forms = new HashMap<>();
        file.get("forms").entries().forEach((family, node) -> {
            known(trade.materials().has(family), family, node);
            forms.put(family, Reflectance.of(colour(node)));
        });
        Map<String, Lab> techniques = new HashMap<>();
        file.get("techniques").entries().forEach((technique, node) -> {
            known(trade.has(technique), technique, node);
            techniques.put(technique, colour(node));
        });
        Map<String, Double> covers = new HashMap<>();
        file.get("covers").entries().forEach((slot, node) -> covers.put(slot, node.number(0.01, 1)));
        return new Appearance(
                skins,
                Reflectance.of(colour(file.get("hair"))),
                brows,
                Reflectance.of(colour(file.get("teeth"))),
                Reflectance.of(colour(file.get("nails"))),
                films,
                forms,
                techniques,
                covers,
                Set.copyOf(file.words("shimmers")));
    }

    private static void known(boolean known, String word, DataNode node) {
        if (!known) {
            throw node.broken("'" + word + "' is not known");
        }
    }

    private static Lab colour(DataNode node) {
        try {
            return Srgb.hex(node.text()).lab();
        } catch (IllegalArgumentException e) {
            throw node.broken(e.getMessage());
        }
    }

    /** The skin of this id, or the second fairest where it is not known. */
    public Reflectance skin(String id) {
        return Optional.ofNullable(skins.get(id))
                .orElseGet(() -> skins.values().stream().skip(1).findFirst().orElseThrow())
                .reflectance();
    }

    /** The paint a technique lays of a family where no recipe says otherwise; empty for what has no colour of its own. */
    public Optional<Paint> usual(String family, Technique technique) {
        return Optional.ofNullable(films.get(family)).map(f -> {
            Lab own = techniques.get(technique.id());
            return own == null || family.equals("powder") ? f.paint() : f.in(own);
        });
    }

    /** Share of a zone that this technique covers. */
    public double covered(Technique technique) {
        return covers.getOrDefault(technique.slot(), 1.0);
    }
}
