package app.kemdro.web;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;

/** Jobs like those of the demo world, for tests that change theirs. */
public final class DemoJobs {
    private DemoJobs() {}

    /** A job with brief and look of the demo's job of this title, on somebody of the same measures who sits for no other job. */
    public static Job like(String title, String called, Jobs jobs) {
        Job from = jobs.byCall().stream()
                .filter(j -> j.title().equals(title))
                .findFirst()
                .orElseThrow();
        Performer p = from.brief().performer();
        Performer twin = new Performer(
                "On " + called, p.heightCm(), p.weightKg(), p.headCm(), p.reactsTo(), p.brows(), p.hair());
        Job copy = new Job(called, "", "", from.brief().on(twin));
        copy.setLook(from.look());
        return jobs.add(copy);
    }

    /** A job on which only Ines works. */
    public static Job ofInesOnly(String called, Jobs jobs) {
        return like("The Night Shift, first founder", called, jobs);
    }
}
