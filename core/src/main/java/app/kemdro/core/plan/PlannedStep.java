package app.kemdro.core.plan;

import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import java.util.List;
import java.util.Optional;

/**
 * A step of a technique on this body, with its words.
 *
 * @param id stable within the look: entry, step, coat and zone
 * @param implied whether Kemdro put it in by itself
 * @param coat which coat, 0 where there is only one
 * @param zones zones it works on, from the crown down
 * @param rows rows of the running order it shows in
 * @param where its zones in words
 * @param form what it places, if anything
 * @param formZones where that lies
 * @param thickness multiple of the material's normal coat
 * @param share how much of those zones it covers, 0.01 to 1
 * @param drying when its film changes in this room in still air
 * @param dryingCool the same under the dryer on cool, where a dryer may be used
 * @param sharing who does which part where two share it; empty where that is no use, or one only holds for the other
 */
public record PlannedStep(
        String id,
        String entryId,
        boolean implied,
        Technique technique,
        StepTemplate template,
        int coat,
        List<String> zones,
        List<String> rows,
        String where,
        Optional<Material> material,
        Optional<Material> form,
        List<String> formZones,
        double thickness,
        double share,
        Optional<DryingTimes> drying,
        Optional<DryingTimes> dryingCool,
        Optional<Sharing> sharing) {

    /** The same step under another id. */
    PlannedStep called(String other) {
        return new PlannedStep(
                other,
                entryId,
                implied,
                technique,
                template,
                coat,
                zones,
                rows,
                where,
                material,
                form,
                formZones,
                thickness,
                share,
                drying,
                dryingCool,
                sharing);
    }

    /** To which part of its entry it belongs: face, neck, chest and limbs are parts of their own. */
    public String part() {
        return id.substring(0, id.indexOf('/'));
    }

    /** What is done, as said aloud. */
    public String title() {
        return template.name() + (coat > 0 ? " " + coat : "");
    }

    /** What is done and where. */
    public String titleWithPlace() {
        return where.isEmpty() ? title() : title() + ", " + where;
    }

    /** The test to look for: the step's own, else its material's. */
    public String lookFor() {
        return template.lookFor().isEmpty() ? material.map(Material::lookFor).orElse("") : template.lookFor();
    }
}
