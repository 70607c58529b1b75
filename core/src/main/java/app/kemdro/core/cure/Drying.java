package app.kemdro.core.cure;

import app.kemdro.core.climate.Evaporation;
import app.kemdro.core.climate.Evaporation.Balance;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.climate.Solvent;
import app.kemdro.core.material.Film;
import java.util.OptionalDouble;

/** Drying of thin films: a constant rate down to the critical moisture, then a rate that falls with it. */
public final class Drying {
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
     * When this film changes state after it was laid.
     *
     * @param airSpeed m/s at the film
     */
    public static DryingTimes of(Film film, HumidAir air, Ground ground, double airSpeed) {
        Balance balance = balance(film, air, ground, airSpeed);
        double held = film.sorbs() * air.relativeHumidity();
        return new DryingTimes(
                film.tacky() == null ? OptionalDouble.empty() : until(film, balance, held, film.tacky()),
                film.closes() == null ? OptionalDouble.empty() : until(film, balance, held, film.closes()),
                until(film, balance, held, film.clear()));
    }

    private static OptionalDouble until(Film film, Balance balance, double held, double target) {
        double flux = balance.fluxGramsPerSquareMetreMinute();
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

    private static Balance balance(Film film, HumidAir air, Ground ground, double airSpeed) {
        return switch (film.carrier()) {
            case WATER -> Evaporation.water(air, ground, airSpeed);
            case ETHANOL -> Evaporation.solvent(air, ground, airSpeed, Solvent.ETHANOL);
            case ISOPROPANOL -> Evaporation.solvent(air, ground, airSpeed, Solvent.ISOPROPANOL);
            case HEXAMETHYLDISILOXANE -> Evaporation.solvent(air, ground, airSpeed, Solvent.HEXAMETHYLDISILOXANE);
        };
    }
}
