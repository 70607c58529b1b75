package app.kemdro.core.cure;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation;
import app.kemdro.core.climate.Evaporation.Balance;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.climate.Solvent;
import app.kemdro.core.material.Bulk;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Melt;
import app.kemdro.core.material.Reacting;
import app.kemdro.core.material.Setting;
import java.util.OptionalDouble;

/** When something that was laid comes to rest: films and thick bodies dry, melts cool, mixtures react. */
public final class Drying {
    /** Share of the free moisture in the slowest mode of a slab, 8/π². */
    static final double SLAB = 8 / (Math.PI * Math.PI);

    private static final double REFERENCE_C = 23;

    private Drying() {}

    /**
     * Time from one moisture to another, by the classic constant-rate and linear falling-rate periods
     * (McCabe, Smith and Harriott; Geankoplis): t = (m/J)·[(X1 − Xc) + Xc·ln(Xc/X2)], in the units of m/J.
     *
     * @param solidsPerArea dry solids per area
     * @param flux loss per area and time in the constant-rate period, same mass unit
     * @param from free moisture X1, kg/kg
     * @param critical free critical moisture Xc, kg/kg
     * @param to free moisture X2 to reach, kg/kg, above 0 and at most X1
     */
    public static double time(double solidsPerArea, double flux, double from, double critical, double to) {
        double constant = Math.max(0, from - Math.max(critical, to));
        double falling = to < critical ? critical * Math.log(Math.min(from, critical) / to) : 0;
        return solidsPerArea / flux * (constant + falling);
    }

    /**
     * Time in which diffusion inside a slab takes its free moisture down, s, by the slowest mode (Crank; Geankoplis):
     * t = 4L²/(π²D)·ln(8/π²·X1/X2).
     *
     * @param metres way to the open face: the thickness with one open face, half of it with two
     * @param diffusivity m²/s
     */
    public static double diffusion(double metres, double diffusivity, double from, double to) {
        double ratio = SLAB * from / to;
        return ratio <= 1 ? 0 : 4 * metres * metres / (Math.PI * Math.PI * diffusivity) * Math.log(ratio);
    }

    /** When this changes state after it was laid, in this room, on this ground, under this air. */
    public static DryingTimes of(Setting setting, HumidAir room, Ground ground, Blow blow) {
        if (setting instanceof Film film) {
            return film(film, blow.from(room), ground, blow.speed());
        }
        if (setting instanceof Bulk bulk) {
            return new DryingTimes(
                    OptionalDouble.empty(), OptionalDouble.empty(), bulk(bulk, blow.from(room), ground, blow.speed()));
        }
        Surroundings around = Surroundings.of(room, ground, blow);
        return setting instanceof Melt melt ? cooling(melt, around) : reacting((Reacting) setting, around.restC());
    }

    /**
     * What a melt or a mixture comes to rest in; it is cooled by the room's air, never warmed again.
     *
     * @param restC the temperature it tends to, °C
     * @param conductance heat passed to air and ground together, W/(m²·K)
     */
    record Surroundings(double restC, double conductance) {
        static Surroundings of(HumidAir room, Ground ground, Blow blow) {
            double heat = Evaporation.heatTransfer(blow == Blow.WARM ? Blow.STILL.speed() : blow.speed());
            double both = heat + ground.conductance();
            return new Surroundings(
                    (heat * room.temperatureC() + ground.conductance() * ground.temperatureC()) / both, both);
        }

        /** Time constant of Newton's law of cooling, s. */
        double tau(Melt melt) {
            return melt.heat() * 1e6 * melt.thicknessMm() / 1000 / conductance;
        }
    }

    private static DryingTimes film(Film film, HumidAir air, Ground ground, double airSpeed) {
        double flux = flux(film.carrier(), air, ground, airSpeed);
        double held = film.sorbs() * air.relativeHumidity();
        return new DryingTimes(
                film.tacky() == null ? OptionalDouble.empty() : until(film, flux, held, film.tacky()),
                film.closes() == null ? OptionalDouble.empty() : until(film, flux, held, film.closes()),
                until(film, flux, held, film.clear()));
    }

    private static OptionalDouble until(Film film, double flux, double held, double target) {
        if (target <= held || flux <= 1e-6) {
            return OptionalDouble.empty();
        }
        double minutes = time(
                film.coat() * film.solids(),
                flux,
                film.fresh() - held,
                Math.max(1e-6, film.critical() - held),
                target - held);
        return OptionalDouble.of(minutes * 60);
    }

    /** The slower of what the surface gives off and what wanders up to it. */
    private static OptionalDouble bulk(Bulk bulk, HumidAir air, Ground ground, double airSpeed) {
        double flux = flux(Film.Carrier.WATER, air, ground, airSpeed);
        double held = bulk.sorbs() * air.relativeHumidity();
        if (bulk.clear() <= held || flux <= 1e-6) {
            return OptionalDouble.empty();
        }
        double metres = bulk.thicknessMm() / 1000 / bulk.faces();
        double surface = bulk.solids() * 1000 * metres * (bulk.fresh() - bulk.clear()) / flux * 60;
        double inside = diffusion(metres, bulk.diffusivity() * 1e-9, bulk.fresh() - held, bulk.clear() - held);
        return OptionalDouble.of(Math.max(surface, inside));
    }

    /**
     * Newton's law of cooling towards the temperature at which it would rest. It is laid when it is no hotter than skin takes, and
     * can be worked from then on; what comes before that is waited for in the cup.
     */
    private static DryingTimes cooling(Melt melt, Surroundings around) {
        double tau = around.tau(melt);
        return new DryingTimes(
                OptionalDouble.of(0),
                cooled(melt.safe(), melt.gels(), around.restC(), tau),
                cooled(melt.safe(), melt.firm(), around.restC(), tau));
    }

    private static OptionalDouble cooled(double from, double to, double rest, double tau) {
        if (from <= to) {
            return OptionalDouble.of(0);
        }
        return to <= rest ? OptionalDouble.empty() : OptionalDouble.of(tau * Math.log((from - rest) / (to - rest)));
    }

    private static DryingTimes reacting(Reacting reacting, double celsius) {
        double factor = Math.pow(2, (REFERENCE_C - celsius) / 10) * 60;
        return new DryingTimes(
                OptionalDouble.of(0),
                OptionalDouble.of(reacting.potMinutes() * factor),
                OptionalDouble.of(reacting.setMinutes() * factor));
    }

    /** g/(m²·min). */
    static double flux(Film.Carrier carrier, HumidAir air, Ground ground, double airSpeed) {
        Balance balance = switch (carrier) {
            case WATER -> Evaporation.water(air, ground, airSpeed);
            case ETHANOL -> Evaporation.solvent(air, ground, airSpeed, Solvent.ETHANOL);
            case ISOPROPANOL -> Evaporation.solvent(air, ground, airSpeed, Solvent.ISOPROPANOL);
            case HEXAMETHYLDISILOXANE -> Evaporation.solvent(air, ground, airSpeed, Solvent.HEXAMETHYLDISILOXANE);
        };
        return balance.fluxGramsPerSquareMetreMinute();
    }
}
