package app.kemdro.core.plan;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.Drying;
import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Setting;
import app.kemdro.core.method.BenchStep;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.List;

/**
 * Work on the bench before the day.
 *
 * @param entry entry of the look it is for
 * @param forWhat what is made, and for where
 * @param minutes hands-on
 * @param restsHours hours it then rests, dries or cures before it can be taken on
 */
public record BenchWork(String entry, String forWhat, String name, double minutes, double restsHours) {
    private static final double A_DAY = 24 * 3600;

    /** All bench work of a look, in working order within each thing that is made. */
    public static List<BenchWork> of(Look look, Brief brief, Trade trade) {
        List<BenchWork> all = new ArrayList<>();
        for (LookEntry entry : look.entries()) {
            Technique technique = trade.technique(entry.techniqueId());
            double area = Areas.of(entry.zones(), brief.performer(), trade.body()) * entry.coverage() / 100;
            String what = technique.name() + ", " + trade.body().say(entry.zones());
            for (BenchStep step : technique.make().bench()) {
                all.add(new BenchWork(
                        entry.id(), what, step.name(), step.law().on(area), rests(step, brief.room(), trade)));
            }
        }
        return all;
    }

    /** Hours until it may be taken on: what is said, or longer where a material dries longer in this room. */
    static double rests(BenchStep step, Brief.Room room, Trade trade) {
        Setting setting = step.material() == null
                ? null
                : trade.materials().family(step.material()).setting();
        if (setting == null) {
            return step.waitHours();
        }
        HumidAir air = new HumidAir(room.temperatureC(), room.humidityPercent() / 100);
        DryingTimes times = Drying.of(setting.times(step.thickness()), air, Ground.bench(air), Blow.STILL);
        return Math.max(step.waitHours(), times.clear().orElse(A_DAY) / 3600);
    }
}
