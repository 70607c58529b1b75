package app.kemdro.web.rooms.look;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.body.Zone;
import app.kemdro.core.layer.Judgement;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.plan.Plan;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * The cut through one zone.
 *
 * @param layers from the outermost to the body
 * @param millimetres thickness of all that lies on the body
 */
public record Cut(List<Row> layers, double millimetres) {

    /**
     * One layer, or the body itself.
     *
     * @param number counted from the body, −1 for the body
     * @param kind how it is drawn
     * @param colour it has in this look, lying thick; empty where none is known
     * @param form whether it is a form with an edge rather than a film
     * @param mark holds, need or fail; empty for the body
     * @param verdict the same in a word
     * @param says what the artist sees to, or why it does not hold; empty where it simply holds
     * @param mends what would help, each tried
     */
    public record Row(
            int number,
            String name,
            String detail,
            String kind,
            String colour,
            double mm,
            boolean form,
            String mark,
            String verdict,
            String says,
            List<String> mends) {}

    /**
     * Cuts through a zone of a plan; mends are asked for only where something does not hold.
     *
     * @param colours of the bare zone and of each layer
     */
    static Cut of(Zone zone, Plan plan, List<String> colours, IntFunction<List<Mending.Offer>> mends) {
        Stack stack = plan.stacks().get(zone.id());
        List<Row> rows = new ArrayList<>();
        if (stack == null) {
            rows.add(body(zone.place().name().toLowerCase(Locale.ROOT), colours.get(0)));
            return new Cut(rows, 0);
        }
        rows.add(body(stack.ground().word(), colours.get(0)));
        double sum = 0;
        for (int k = 0; k < stack.layers().size(); k++) {
            Stack.Layer layer = stack.layers().get(k);
            sum += layer.millimetres();
            rows.add(row(k, layer, colours.get(k + 1), minutes(layer, plan), mends));
        }
        Collections.reverse(rows);
        return new Cut(List.copyOf(rows), sum);
    }

    private static Row body(String word, String colour) {
        String name = switch (word) {
            case "clean-skin" -> "Skin, degreased";
            case "hairy" -> "Hair and skin";
            case "lid", "eye" -> "Lid";
            case "lip", "lips" -> "Lip";
            case "tooth" -> "Tooth";
            case "nail" -> "Nail";
            default -> "Skin";
        };
        return new Row(-1, name, "", "skin", colour, 0, false, "", "", "", List.of());
    }

    private static Row row(
            int number, Stack.Layer layer, String colour, String minutes, IntFunction<List<Mending.Offer>> mends) {
        Judgement boundary = layer.boundary();
        boolean fine = boundary.verdict().isFine();
        return new Row(
                number,
                Capitals.capital(layer.material().name()) + (layer.coats() > 1 ? ", " + layer.coats() + " coats" : ""),
                layer.what() + ". " + minutes,
                layer.material().drawn(),
                colour,
                layer.millimetres(),
                layer.material().isForm(),
                mark(boundary.verdict()),
                word(boundary.verdict()),
                fine ? boundary.condition() : boundary.because(),
                fine
                        ? List.of()
                        : mends.apply(number).stream().map(Mending.Offer::says).toList());
    }

    /** Hands-on and drying minutes of the steps that laid it. */
    private static String minutes(Stack.Layer layer, Plan plan) {
        int hands = 0;
        int dries = 0;
        for (String step : layer.steps()) {
            var placed = plan.schedule().of(step);
            hands += placed.end() - placed.start();
            dries += placed.settled() - placed.end();
        }
        long wait = Math.round(dries / 60.0);
        return Math.max(1, Math.round(hands / 60.0)) + (wait > 0 ? " + " + wait : "") + " min";
    }

    /** The mark of a verdict, as on the boundary and in the zone. */
    static String mark(Verdict verdict) {
        return switch (verdict) {
            case HOLDS, HOLDS_IF -> "holds";
            case WEAK, UNKNOWN -> "need";
            case FAILS, FORBIDDEN -> "fail";
        };
    }

    static String word(Verdict verdict) {
        return switch (verdict) {
            case HOLDS -> "holds";
            case HOLDS_IF -> "holds if";
            case WEAK -> "weak";
            case FAILS -> "will fail";
            case FORBIDDEN -> "never";
            case UNKNOWN -> "not known";
        };
    }

    /** Trouble in words, or empty where everything holds. */
    static Optional<String> trouble(Stack stack) {
        return stack.worst().isFine() ? Optional.empty() : Optional.of(word(stack.worst()));
    }
}
