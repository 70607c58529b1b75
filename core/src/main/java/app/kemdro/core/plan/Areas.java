package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import java.util.Collection;

/** Surfaces and counts on this performer: heads grow with the girth of the head, bodies with the surface of the body. */
public final class Areas {
    private Areas() {}

    /** Surface of these zones on this performer, cm². */
    public static double of(Collection<String> zones, Performer performer, Body body) {
        double head = performer.areaScale();
        double rest = performer.bodyScale();
        double sum = 0;
        for (String zone : zones) {
            sum += body.zone(zone).areaCm2() * (body.scalesWithHead(body.zone(zone)) ? head : rest);
        }
        return sum;
    }

    /** What a step lays of this film, g: coat × thickness × surface, of a strip by length and width [F5], else of its share of its zones. */
    public static double laid(Material film, PlannedStep step, Performer performer, Body body) {
        StepTemplate.Strip strip = step.template().strip();
        double area = strip == null
                ? of(step.zones(), performer, body) * step.share()
                : strip.widthMm() / 10 * strip.lengthCm() * Math.sqrt(performer.areaScale());
        return film.gramsPerCm2() * area * step.thickness();
    }

    /** How many things an entry takes on that surface, cm². */
    public static int items(LookEntry entry, Technique technique, double areaCm2) {
        return entry.items() > 0 ? entry.items() : technique.items().usualOn(areaCm2 * entry.coverage() / 100);
    }
}
