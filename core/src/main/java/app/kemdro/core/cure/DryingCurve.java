package app.kemdro.core.cure;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.Drying.Surroundings;
import app.kemdro.core.material.Bulk;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Melt;
import app.kemdro.core.material.Setting;
import java.util.ArrayList;
import java.util.List;

/**
 * How far a material still is from rest, over time.
 *
 * @param points from laid to clear, evenly spaced; empty when this room never lets it come to rest
 */
public record DryingCurve(List<Point> points) {
    private static final int STEPS = 60;

    public DryingCurve {
        points = List.copyOf(points);
    }

    /**
     * One moment.
     *
     * @param seconds since it was laid
     * @param left 1 as laid, 0 at rest
     */
    public record Point(double seconds, double left) {}

    /** The curve in this room, on this ground, under this air. */
    public static DryingCurve of(Setting setting, HumidAir room, Ground ground, Blow blow) {
        DryingTimes times = Drying.of(setting, room, ground, blow);
        if (times.clear().isEmpty()) {
            return new DryingCurve(List.of());
        }
        double end = times.clear().getAsDouble();
        List<Point> points = new ArrayList<>();
        for (int k = 0; k <= STEPS; k++) {
            double at = end * k / STEPS;
            points.add(new Point(at, Math.max(0, Math.min(1, left(setting, room, ground, blow, at, end)))));
        }
        return new DryingCurve(points);
    }

    private static double left(Setting setting, HumidAir room, Ground ground, Blow blow, double at, double end) {
        if (setting instanceof Film film) {
            return film(film, blow.from(room), ground, blow.speed(), at);
        }
        if (setting instanceof Melt melt) {
            Surroundings around = Surroundings.of(room, ground, blow);
            double celsius = around.restC() + (melt.safe() - around.restC()) * Math.exp(-at / around.tau(melt));
            return (celsius - melt.firm()) / (melt.safe() - melt.firm());
        }
        if (setting instanceof Bulk bulk) {
            return bulk(bulk, bulk.sorbs() * blow.from(room).relativeHumidity(), at, end);
        }
        return 1 - at / end;
    }

    /** Diffusion empties a slab by its slowest mode; where the surface is slower it empties evenly. */
    private static double bulk(Bulk bulk, double held, double at, double end) {
        double metres = bulk.thicknessMm() / 1000 / bulk.faces();
        double diffusivity = bulk.diffusivity() * 1e-9;
        double fresh = bulk.fresh() - held;
        double clear = bulk.clear() - held;
        if (Drying.diffusion(metres, diffusivity, fresh, clear) < end * 0.999) {
            return 1 - at / end;
        }
        double mode = Drying.SLAB * Math.exp(-Math.PI * Math.PI * diffusivity * at / (4 * metres * metres));
        return (fresh * Math.min(1, mode) - clear) / (fresh - clear);
    }

    /** Moisture falls evenly to the critical one, then ever more slowly. */
    private static double film(Film film, HumidAir air, Ground ground, double speed, double seconds) {
        double held = film.sorbs() * air.relativeHumidity();
        double rate = Drying.flux(film.carrier(), air, ground, speed) / 60 / (film.coat() * film.solids());
        double fresh = film.fresh() - held;
        double critical = Math.max(1e-6, Math.min(fresh, film.critical() - held));
        double bend = (fresh - critical) / rate;
        double moisture =
                seconds <= bend ? fresh - rate * seconds : critical * Math.exp(-rate * (seconds - bend) / critical);
        double clear = film.clear() - held;
        return (moisture - clear) / (fresh - clear);
    }
}
