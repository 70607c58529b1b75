package app.kemdro.web.parts.card;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.DryingCurve;
import app.kemdro.core.cure.DryingForecast;
import app.kemdro.core.cure.DryingForecast.Moment;
import app.kemdro.core.material.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * The drying card: how something dries in this room and in another, as it is drawn and said.
 *
 * @param here the room that was asked about
 * @param there another one to compare with
 * @param minutes minutes across the whole drawing
 * @param ticks minutes that are written under it
 */
public record DryingCard(Side here, Side there, double minutes, List<Tick> ticks) {
    private static final double WIDTH = 620;
    private static final double HEIGHT = 220;
    private static final double PIECE_MM = 4;

    /** Where something lies. */
    public enum Lies {
        SKIN,
        PIECE,
        BENCH
    }

    /**
     * One room.
     *
     * @param path the curve, in the drawing's own units
     * @param bands stretches of the drawing in one state each
     * @param says what to look for when, in words
     */
    public record Side(
            String room, String path, List<Band> bands, List<String> says, String savedByDryer, String because) {}

    /** A stretch in one state: wet, tacky, closing or dry. */
    public record Band(String state, double x, double width) {}

    /** A time that is written under the drawing. */
    public record Tick(double x, String word) {}

    /** Draws a card for a setting in two rooms. */
    public static DryingCard of(Setting setting, Lies lies, Blow blow, HumidAir here, HumidAir there) {
        DryingForecast now = DryingForecast.of(setting, here, ground(lies, here), blow);
        DryingForecast other = DryingForecast.of(setting, there, ground(lies, there), blow);
        double end = Math.max(end(now), end(other));
        double seconds = end == 0 ? 3600 : end * 1.12;
        return new DryingCard(
                side(setting, lies, blow, here, now, seconds),
                side(setting, lies, blow, there, other, seconds),
                seconds / 60,
                ticks(seconds));
    }

    private static double end(DryingForecast forecast) {
        return forecast.clear().late().orElse(0);
    }

    private static Ground ground(Lies lies, HumidAir air) {
        return switch (lies) {
            case SKIN -> Ground.SKIN;
            case PIECE -> Ground.worn(PIECE_MM);
            case BENCH -> Ground.bench(air);
        };
    }

    private static Side side(
            Setting setting, Lies lies, Blow blow, HumidAir room, DryingForecast forecast, double seconds) {
        StringBuilder path = new StringBuilder();
        for (DryingCurve.Point p :
                DryingCurve.of(setting, room, ground(lies, room), blow).points()) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append("%.1f %.1f".formatted(p.seconds() / seconds * WIDTH, (1 - p.left()) * HEIGHT));
        }
        if (!path.isEmpty()) {
            path.append("L%.1f %.1f".formatted(WIDTH, HEIGHT));
        }
        return new Side(
                "%.0f °C, %.0f %%".formatted(room.temperatureC(), room.relativeHumidity() * 100),
                path.toString(),
                bands(forecast, seconds),
                says(forecast),
                saved(forecast, blow),
                forecast.because());
    }

    private static List<Band> bands(DryingForecast forecast, double seconds) {
        List<Band> bands = new ArrayList<>();
        OptionalDouble tacky = forecast.tacky().likely();
        OptionalDouble closes = forecast.closes().likely();
        OptionalDouble clear = forecast.clear().likely();
        double end = clear.orElse(seconds);
        double grabs = tacky.orElse(end);
        double shuts = Math.min(end, closes.orElse(end));
        band(bands, "wet", 0, grabs, seconds);
        band(bands, "tacky", grabs, shuts, seconds);
        band(bands, "closing", shuts, end, seconds);
        if (clear.isPresent()) {
            band(bands, "dry", end, seconds, seconds);
        }
        return bands;
    }

    private static void band(List<Band> bands, String state, double from, double to, double seconds) {
        if (to > from) {
            bands.add(new Band(state, from / seconds * WIDTH, (to - from) / seconds * WIDTH));
        }
    }

    private static List<String> says(DryingForecast forecast) {
        List<String> says = new ArrayList<>();
        say(says, "usable", forecast.tacky());
        say(says, "closed", forecast.closes());
        say(says, "dry or clear", forecast.clear());
        if (forecast.clear().likely().isEmpty()) {
            says.add("never comes to rest here");
        }
        return says;
    }

    private static void say(List<String> says, String state, Moment moment) {
        if (moment.likely().isPresent()) {
            says.add(state + " after " + span(moment.likely().getAsDouble()) + "; 9 of 10 between "
                    + span(moment.early().orElse(0)) + " and "
                    + span(moment.late().orElse(0)));
        }
    }

    private static String saved(DryingForecast forecast, Blow blow) {
        if (blow != Blow.STILL
                || forecast.savedByCool().isEmpty()
                || forecast.savedByCool().getAsDouble() < 10) {
            return "";
        }
        return "A dryer on cool saves " + span(forecast.savedByCool().getAsDouble()) + ", on warm at 40 °C "
                + span(forecast.savedByWarm().orElse(0)) + ".";
    }

    /** "40 s", "2 min 30", "5 h 10"; seconds are only said where they matter. */
    static String span(double seconds) {
        if (seconds < 90) {
            return Math.round(seconds) + " s";
        }
        if (seconds < 600) {
            long half = Math.round(seconds / 30) * 30;
            return half / 60 + " min" + (half % 60 == 0 ? "" : " 30");
        }
        long minutes = Math.round(seconds / 60);
        return minutes < 100
                ? minutes + " min"
                : minutes / 60 + " h " + String.format(Locale.ROOT, "%02d", minutes % 60);
    }

    private static List<Tick> ticks(double seconds) {
        double[] steps = {10, 30, 60, 120, 300, 600, 1800, 3600, 2 * 3600, 6 * 3600, 12 * 3600, 24 * 3600};
        double step = steps[steps.length - 1];
        for (double s : steps) {
            if (seconds / s <= 8) {
                step = s;
                break;
            }
        }
        List<Tick> ticks = new ArrayList<>();
        for (double at = 0; at <= seconds; at += step) {
            ticks.add(new Tick(at / seconds * WIDTH, at == 0 ? "laid" : span(at)));
        }
        return ticks;
    }
}
