package app.kemdro.core.colour;

import static app.kemdro.core.colour.Observer.BANDS;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The mix of at most three paints nearest to a colour. Every pair is tried in ratios from 1 : 32 to 32 : 1, the best of them with every
 * third paint; the best of all are refined. CIEDE2000 decides throughout, also of colours that no mix reaches.
 */
public final class Recipes {
    private static final double[] RATIOS = {1 / 32.0, 1 / 16.0, 1 / 8.0, 1 / 4.0, 1 / 2.0, 1, 2, 4, 8, 16, 32};
    private static final int BEST_PAIRS = 120;
    private static final int REFINED = 60;

    /** From so many different shares the same paints are begun with, because a hollow may have more than one bottom. */
    private static final int BEGUN_FROM = 3;

    /** A third paint must bring the mix nearer by so much, CIEDE2000, to be worth opening (judgement). */
    private static final double WORTH = 0.3;

    /** A mix is asked for in no more than so many parts. */
    private static final int MOST_PARTS = 40;

    private final List<Paint> paints;
    private final Lab target;
    private final Films fine;

    /** In groups of three bands, to sort thousands of mixes with. */
    private final Films coarse;

    private Recipes(List<Paint> paints, Lab target, Reflectance ground, double weight) {
        this.paints = paints;
        this.target = target;
        this.fine = new Films(paints, ground, weight, 1);
        this.coarse = new Films(paints, ground, weight, 3);
    }

    /**
     * A mix.
     *
     * @param paints places in the list that was asked about, the most of it first
     * @param shares by weight, of the same order; they sum up to 1
     * @param parts whole parts near those shares
     * @param reached colour that these parts give
     * @param difference how far that is from the one asked for, CIEDE2000
     */
    public record Recipe(
            List<Integer> paints, List<Double> shares, List<Integer> parts, Lab reached, double difference) {}

    /** Nearest mixes in a film so thick that nothing shows through, of different paints each, the nearest first. */
    public static List<Recipe> nearest(List<Paint> paints, Lab target, int most) {
        return nearest(paints, target, Reflectance.grey(0.5), Double.POSITIVE_INFINITY, most);
    }

    /** Nearest mixes in a film of this weight, g/m², over a ground. */
    public static List<Recipe> nearest(
            List<Paint> paints, Lab target, Reflectance ground, double gramsPerM2, int most) {
        return new Recipes(paints, target, ground, gramsPerM2).search(most);
    }

    private record Mix(int[] paints, double[] shares, double off) {}

    private List<Recipe> search(int most) {
        List<Mix> singles = new ArrayList<>();
        List<Mix> pairs = new ArrayList<>();
        for (int p = 0; p < paints.size(); p++) {
            singles.add(mix(new int[] {p}, 1));
            for (int q = p + 1; q < paints.size(); q++) {
                int[] both = {p, q};
                Arrays.stream(RATIOS)
                        .mapToObj(r -> mix(both, r, 1))
                        .sorted(Comparator.comparingDouble(Mix::off))
                        .limit(BEGUN_FROM)
                        .forEach(pairs::add);
            }
        }
        pairs.sort(Comparator.comparingDouble(Mix::off));
        List<Mix> all = new ArrayList<>(singles);
        all.addAll(pairs);
        pairs.stream().limit(BEST_PAIRS).parallel().flatMap(this::withThird).forEachOrdered(all::add);
        all.sort(Comparator.comparingDouble(Mix::off));
        Map<List<Integer>, Integer> begun = new HashMap<>();
        List<Mix> starts = all.stream()
                .filter(m ->
                        begun.merge(Arrays.stream(m.paints()).sorted().boxed().toList(), 1, Integer::sum) <= BEGUN_FROM)
                .limit(REFINED)
                .toList();
        List<Recipe> found = new ArrayList<>(
                starts.stream().parallel().map(this::refined).map(this::recipe).toList());
        singles.stream()
                .min(Comparator.comparingDouble(Mix::off))
                .map(this::recipe)
                .ifPresent(found::add);
        pairs.stream().limit(6).map(this::refined).map(this::recipe).forEach(found::add);
        found.sort(Comparator.comparingDouble(
                r -> r.difference() + WORTH * (r.paints().size() - 1)));
        List<Recipe> different = new ArrayList<>();
        for (Recipe recipe : found) {
            if (different.size() < most
                    && different.stream().noneMatch(d -> sorted(d.paints()).equals(sorted(recipe.paints())))) {
                different.add(recipe);
            }
        }
        return different;
    }

    private static List<Integer> sorted(List<Integer> paints) {
        return paints.stream().sorted().toList();
    }

    private Stream<Mix> withThird(Mix pair) {
        List<Mix> found = new ArrayList<>();
        for (int r = 0; r < paints.size(); r++) {
            if (r != pair.paints()[0] && r != pair.paints()[1]) {
                int[] three = {pair.paints()[0], pair.paints()[1], r};
                found.add(Arrays.stream(RATIOS)
                        .mapToObj(x -> mix(three, pair.shares()[0], pair.shares()[1], x))
                        .min(Comparator.comparingDouble(Mix::off))
                        .orElseThrow());
            }
        }
        return found.stream();
    }

    private Mix mix(int[] which, double... parts) {
        double[] shares = shares(parts);
        return new Mix(which, shares, coarse.colour(which, shares).difference(target));
    }

    private static double[] shares(double[] parts) {
        double all = Arrays.stream(parts).sum();
        return Arrays.stream(parts).map(p -> p / all).toArray();
    }

    private double difference(int[] which, double[] shares) {
        return fine.colour(which, shares).difference(target);
    }

    /** Shares moved against one another in ever smaller steps as long as that brings the colour nearer. */
    private Mix refined(Mix from) {
        int[] which = from.paints();
        double[] best = from.shares();
        double off = difference(which, best);
        for (double step = 0.5; step > 0.004 && best.length > 1; step /= 2) {
            boolean nearer = true;
            while (nearer) {
                nearer = false;
                for (int p = 0; p < best.length; p++) {
                    for (double way : new double[] {step, -step}) {
                        double[] parts = best.clone();
                        parts[p] *= Math.exp(way);
                        double[] moved = shares(parts);
                        double movedOff = difference(which, moved);
                        if (movedOff < off - 1e-6) {
                            best = moved;
                            off = movedOff;
                            nearer = true;
                        }
                    }
                }
            }
        }
        return new Mix(which, best, off);
    }

    /** Films of mixes, in all bands or in groups of them. */
    private static final class Films {
        private final double[][] k;
        private final double[][] s;
        private final double[] ground;
        private final double[][] weights = new double[3][];
        private final double weight;

        /** Groups this many neighbouring bands into one. */
        Films(List<Paint> paints, Reflectance below, double weight, int group) {
            this.weight = weight;
            this.k = paints.stream().map(p -> grouped(p.k, group)).toArray(double[][]::new);
            this.s = paints.stream().map(p -> grouped(p.s, group)).toArray(double[][]::new);
            double[] all = new double[BANDS];
            Arrays.setAll(all, below::band);
            this.ground = grouped(all, group);
            for (int c = 0; c < 3; c++) {
                double[] sums = grouped(Light.DAYLIGHT.weights[c], group);
                for (int i = 0; i < sums.length; i++) {
                    sums[i] *= Math.min(group, BANDS - i * group);
                }
                weights[c] = sums;
            }
        }

        private static double[] grouped(double[] bands, int group) {
            double[] means = new double[(BANDS + group - 1) / group];
            for (int i = 0; i < BANDS; i++) {
                means[i / group] += bands[i] / Math.min(group, BANDS - i / group * group);
            }
            return means;
        }

        Lab colour(int[] which, double[] shares) {
            double[] xyz = new double[3];
            for (int i = 0; i < ground.length; i++) {
                double mixedK = 0;
                double mixedS = 0;
                for (int p = 0; p < which.length; p++) {
                    mixedK += k[which[p]][i] * shares[p];
                    mixedS += s[which[p]][i] * shares[p];
                }
                double r = Double.isInfinite(weight)
                        ? Paint.masstone(mixedK, mixedS)
                        : Paint.film(mixedK, mixedS, weight, ground[i]);
                xyz[0] += weights[0][i] * r;
                xyz[1] += weights[1][i] * r;
                xyz[2] += weights[2][i] * r;
            }
            return Lab.of(xyz, Light.DAYLIGHT.white);
        }
    }

    /** The fewest whole parts that come as near as the shares do, or as near as parts can. */
    private Recipe recipe(Mix mix) {
        double exact = difference(mix.paints(), mix.shares());
        int[] bestParts = null;
        double bestOff = Double.POSITIVE_INFINITY;
        for (int total = mix.shares().length; total <= MOST_PARTS && bestOff > exact + 0.1; total++) {
            int[] parts = new int[mix.shares().length];
            for (int p = 0; p < parts.length; p++) {
                parts[p] = (int) Math.max(1, Math.round(mix.shares()[p] * total));
            }
            double all = Arrays.stream(parts).sum();
            double off = difference(
                    mix.paints(), Arrays.stream(parts).mapToDouble(p -> p / all).toArray());
            if (off < bestOff - 0.05) {
                bestOff = off;
                bestParts = parts;
            }
        }
        int[] parts = Objects.requireNonNull(bestParts);
        double all = Arrays.stream(parts).sum();
        Integer[] order = IntStream.range(0, parts.length).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingInt(p -> -parts[p]));
        double[] shares = Arrays.stream(parts).mapToDouble(p -> p / all).toArray();
        return new Recipe(
                Arrays.stream(order).map(p -> mix.paints()[p]).toList(),
                Arrays.stream(order).map(p -> mix.shares()[p]).toList(),
                Arrays.stream(order).map(p -> parts[p]).toList(),
                fine.colour(mix.paints(), shares),
                bestOff);
    }
}
