package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Contrast;
import app.kemdro.core.colour.Covering;
import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Light;
import app.kemdro.core.colour.Neutral;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Recipes;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.material.Materials;
import app.kemdro.core.sketch.Appearance;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Answers of the paint table: what a mix looks like over a ground, coat by coat, and which mix comes near to a colour. */
public final class PaintTable {
    private static final int STRIP = 6;
    private static final int ASKED = 3;

    private final List<Swatch> swatches;
    private final List<Paint> paints;
    private final Appearance appearance;
    private final Materials materials;
    private final Performer performer;
    private final Reflectance skin;
    private final Map<String, Reflectance> below;
    private final Asked asked;

    public PaintTable(
            List<Swatch> swatches,
            Swatches house,
            Appearance appearance,
            Materials materials,
            Performer performer,
            Reflectance skin,
            Map<String, Reflectance> below,
            Asked asked) {
        this.swatches = swatches.stream().filter(s -> !s.values().shimmers()).toList();
        this.paints = this.swatches.stream().map(house::paint).toList();
        this.appearance = appearance;
        this.materials = materials;
        this.performer = performer;
        this.skin = skin;
        this.below = below;
        this.asked = asked;
    }

    /** A ground to lay a film on. */
    record Ground(String id, String name, String hex, String query, boolean on) {}

    /** The mix after so many coats: over the ground, over a brow on it, and what of the brow is still seen. */
    record Coat(int coats, String hex, String brow, String shows, String left, String query, boolean chosen) {}

    /** A paint in the mix. */
    record Part(String name, int parts, String hex, String more, String less, String out) {}

    /**
     * A mix that comes near to what was asked for.
     *
     * @param off how far it is off, with a little for each paint more that has to be opened
     */
    public record Near(String said, String hex, String difference, String word, String take, double off) {}

    /** Grounds by id: those of every job, then what lies below each painted entry of this one. */
    Map<String, Reflectance> grounds() {
        Map<String, Reflectance> grounds = new LinkedHashMap<>();
        grounds.put("skin", skin);
        grounds.put("brow", brow(skin));
        grounds.put("latex-cap", form("latex-cap"));
        grounds.put("foam-latex", form("foam-latex"));
        grounds.put("latex", film("liquid-latex", skin));
        grounds.putAll(below);
        return grounds;
    }

    private Reflectance brow(Reflectance below) {
        return below.beside(appearance.hair(), appearance.brows().getOrDefault(performer.brows(), 0.5));
    }

    private Reflectance form(String family) {
        return appearance.forms().getOrDefault(family, skin);
    }

    private Reflectance film(String family, Reflectance below) {
        Appearance.Film film = appearance.films().get(family);
        return film == null ? below : film.paint().over(below, film.grams());
    }

    public List<Ground> groundChips() {
        Map<String, String> names = Map.of(
                "skin",
                "this skin",
                "brow",
                "a brow on it",
                "latex-cap",
                "latex cap",
                "foam-latex",
                "foam piece",
                "latex",
                "latex edge");
        List<Ground> chips = new ArrayList<>();
        grounds().forEach((id, r) -> {
            if (names.containsKey(id)) {
                chips.add(new Ground(id, names.get(id), hex(r), asked.on(id).query(), id.equals(ground())));
            }
        });
        return chips;
    }

    private String ground() {
        return grounds().containsKey(asked.on()) ? asked.on() : "skin";
    }

    private Reflectance below() {
        return grounds().get(ground());
    }

    public Optional<Paint> mixed() {
        List<Paint.Share> shares = new ArrayList<>();
        asked.mix().forEach((id, parts) -> find(id).ifPresent(k -> shares.add(new Paint.Share(paints.get(k), parts))));
        return shares.isEmpty() ? Optional.empty() : Optional.of(Paint.mix(shares));
    }

    private Optional<Integer> find(long id) {
        for (int k = 0; k < swatches.size(); k++) {
            if (swatches.get(k).id() == id) {
                return Optional.of(k);
            }
        }
        return Optional.empty();
    }

    public List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        asked.mix()
                .forEach((id, n) -> find(id).ifPresent(k -> parts.add(new Part(
                        swatches.get(k).name(),
                        n,
                        hex(paints.get(k).masstone()),
                        asked.adding(id, 1).query(),
                        asked.adding(id, -1).query(),
                        asked.adding(id, -n).query()))));
        return parts;
    }

    /** Weight of one coat of the mix, g/m²: of the family there is most of. */
    double coat() {
        return asked.mix().entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .flatMap(e -> find(e.getKey()))
                .map(k -> coat(swatches.get(k)))
                .orElse(20.0);
    }

    private double coat(Swatch swatch) {
        String family = swatch.values().family();
        return materials.has(family) ? materials.family(family).gramsPerCm2() * 10_000 : 20;
    }

    public List<Coat> strip(Paint mix) {
        Reflectance ground = below();
        Reflectance brow = brow(ground);
        List<Coat> strip = new ArrayList<>();
        for (int n = 0; n < STRIP; n++) {
            double weight = n * coat();
            double left = Covering.left(mix, weight, brow, ground);
            strip.add(new Coat(
                    n,
                    hex(mix.over(ground, weight)),
                    hex(mix.over(brow, weight)),
                    shows(left),
                    one(left),
                    asked.coats(Math.max(1, n)).query(),
                    n == asked.coats()));
        }
        return strip;
    }

    /**
     * A sentence of the table.
     *
     * @param figures what it rests on, for whoever asks for numbers; empty where there are none
     */
    public record Saying(String says, String figures) {}

    /** What the table says of a mix. */
    public List<Saying> says(Paint mix) {
        Reflectance ground = below();
        double weight = asked.coats() * coat();
        Reflectance film = mix.over(ground, weight);
        Paint powder = appearance.films().get("powder").paint();
        double grams = appearance.films().get("powder").grams();
        List<Saying> says = new ArrayList<>();
        OptionalInt hides = Covering.coats(mix, coat(), brow(ground), ground, Covering.UNSEEN);
        double most = Covering.left(mix, Covering.MOST * coat(), brow(ground), ground);
        says.add(
                hides.isPresent()
                        ? new Saying(coats(hides.getAsInt()) + " until a brow no longer shows.", "")
                        : new Saying(
                                "It never hides a brow, not with " + Covering.MOST + " coats.",
                                "a difference of " + one(most)));
        OptionalInt card = IntStream.rangeClosed(1, Covering.MOST)
                .filter(n -> mix.contrastRatio(n * coat()) >= 0.98)
                .findFirst();
        says.add(
                card.isPresent()
                        ? new Saying(coats(card.getAsInt()) + " hide black and white alike.", "0.98")
                        : new Saying("Over black and white it stays translucent.", ""));
        Lab powdered = powder.over(film, grams).lab();
        double lighter = powdered.l() - film.lab().l();
        says.add(
                Math.abs(lighter) < 0.5
                        ? new Saying("Powder hardly changes it.", "")
                        : new Saying(
                                "Powder makes it " + (lighter > 0 ? "lighter" : "darker") + ": "
                                        + word(powdered.difference(film.lab())) + ".",
                                one(Math.abs(lighter)) + ", a difference of " + one(powdered.difference(film.lab()))));
        Contrast contrast = Contrast.of(film, ground, powder, grams);
        String bare = beside(contrast.bare());
        String dull = beside(contrast.powdered());
        String warm = beside(contrast.warm());
        says.add(new Saying(
                "Beside the bare ground it is " + bare
                        + (dull.equals(bare) && warm.equals(bare)
                                ? ", powdered and under a lamp too."
                                : "; when both are powdered, " + dull + "; under a lamp, " + warm + "."),
                figures(contrast)));
        return says;
    }

    private static String figures(Contrast c) {
        return one(c.bare()) + ", powdered " + one(c.powdered()) + ", under a lamp " + one(c.warm());
    }

    private static String beside(double difference) {
        return difference < 1
                ? "not told apart"
                : difference < 3 ? "told apart side by side only" : difference < 8 ? "seen" : "another colour";
    }

    /** What is still seen of a brow, in words. */
    private static String shows(double left) {
        return left < 1 ? "brow hidden" : left < 3 ? "brow hinted at" : "brow shows";
    }

    private static String coats(int n) {
        return n == 0 ? "No coat is needed" : n == 1 ? "One coat" : n + " coats";
    }

    /** The film at the coats that are looked at, powdered, and under a lamp, as a screen shows them. */
    public Map<String, String> looks(Paint mix) {
        Reflectance film = mix.over(below(), asked.coats() * coat());
        Appearance.Film powder = appearance.films().get("powder");
        Map<String, String> looks = new LinkedHashMap<>();
        looks.put("in daylight", hex(film));
        looks.put("powdered", hex(powder.paint().over(film, powder.grams())));
        looks.put("under a lamp", Srgb.of(film.lab(Light.WARM)).hex());
        looks.put("thick", hex(mix.masstone()));
        return looks;
    }

    public String lab(Paint mix) {
        Lab lab = mix.over(below(), asked.coats() * coat()).lab();
        return String.format(Locale.ROOT, "L %.0f, a %.0f, b %.0f", lab.l(), lab.a(), lab.b());
    }

    /** Paints by what they are, as cream is not stirred into water paint: places in the list of swatches. */
    private Collection<List<Integer>> byNature() {
        return IntStream.range(0, swatches.size())
                .boxed()
                .collect(Collectors.groupingBy(k -> nature(swatches.get(k)), LinkedHashMap::new, Collectors.toList()))
                .values();
    }

    private String nature(Swatch swatch) {
        String family = swatch.values().family();
        return materials.has(family) ? materials.family(family).nature() : family;
    }

    /** What is on the table and would not go together in one pot, in a sentence; empty where all does. */
    public String apart() {
        List<String> families = asked.mix().keySet().stream()
                .flatMap(id -> find(id).stream())
                .map(swatches::get)
                .collect(Collectors.toMap(
                        this::nature,
                        s -> materials.family(s.values().family()).name(),
                        (a, b) -> a,
                        LinkedHashMap::new))
                .values()
                .stream()
                .toList();
        return families.size() < 2
                ? ""
                : String.join(" and ", families)
                        + " do not go together in one pot: lay one over the other, with powder between. The table shows what it would look like.";
    }

    /** The nearest mixes to a colour in the film that is looked at; paints of one nature, from this house only. */
    public List<Near> nearest(Lab aim) {
        List<Near> all = new ArrayList<>();
        for (List<Integer> pot : byNature()) {
            double weight = asked.coats() * coat(swatches.get(pot.get(0)));
            Recipes.nearest(pot.stream().map(paints::get).toList(), aim, below(), weight, ASKED)
                    .forEach(r -> all.add(near(r, pot)));
        }
        all.sort(Comparator.comparingDouble(Near::off));
        return all.stream().limit(ASKED + 1).toList();
    }

    private Near near(Recipes.Recipe recipe, List<Integer> pot) {
        Map<Long, Integer> mix = new LinkedHashMap<>();
        List<String> said = new ArrayList<>();
        for (int k = 0; k < recipe.paints().size(); k++) {
            Swatch swatch = swatches.get(pot.get(recipe.paints().get(k)));
            int parts = Math.min(Asked.MOST_PARTS, recipe.parts().get(k));
            mix.put(swatch.id(), parts);
            said.add(swatch.name() + (recipe.paints().size() == 1 ? "" : " " + parts));
        }
        return new Near(
                String.join(", ", said),
                Srgb.of(recipe.reached()).hex(),
                one(recipe.difference()),
                word(recipe.difference()),
                asked.mixing(mix).query(),
                recipe.difference() + 0.3 * (recipe.paints().size() - 1));
    }

    /** What takes the cast out of a shadow on this ground, in a sentence. */
    public Saying neutral(Lab shadow) {
        double[] coats = swatches.stream().mapToDouble(this::coat).toArray();
        return Neutral.of(paints, coats, Reflectance.of(shadow), below())
                .map(c -> new Saying(
                        "“" + swatches.get(c.paint()).name() + "”, about "
                                + amount(c.gramsPerM2() / coats[c.paint()]) + ", takes "
                                + (c.left() < c.cast() / 3 ? "most" : "a part") + " of the cast away; then the base.",
                        "from " + one(c.cast()) + " to " + one(c.left())))
                .orElse(new Saying("Nothing in the house takes a third of that cast away; cover it instead.", ""));
    }

    /** Whether a highlight and a shadow still differ after powder and under a lamp, in a sentence. */
    public static Saying contrast(Paint one, Paint other, Appearance appearance) {
        Appearance.Film powder = appearance.films().get("powder");
        Contrast c = Contrast.of(one.masstone(), other.masstone(), powder.paint(), powder.grams());
        String read = c.powdered() >= 10
                ? "They still read apart."
                : c.powdered() >= 4
                        ? "They read apart from near only."
                        : "They run together: make one darker before the powder, or reinforce after it.";
        return new Saying(read, "they differ by " + figures(c));
    }

    private static String amount(double coats) {
        return coats < 0.6 ? "a thin wash" : coats < 1.2 ? "one coat" : one(coats) + " coats";
    }

    private static String word(double difference) {
        return difference < 1
                ? "nobody sees the difference"
                : difference < 3 ? "seen side by side only" : difference < 8 ? "seen" : "another colour";
    }

    public static String hex(Reflectance reflectance) {
        return Srgb.of(reflectance.lab()).hex();
    }

    public static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
