package app.kemdro.web;

import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;

/** Jobs like those of the demo world, for tests that change theirs. */
public final class DemoJobs {
    private DemoJobs() {}

    /** A job with brief and look of the demo's job of this title. */
    public static Job like(String title, String called, Jobs jobs) {
        Job from = jobs.byCall().stream()
                .filter(j -> j.title().equals(title))
                .findFirst()
                .orElseThrow();
        Job copy = new Job(called, "", "", from.brief());
        copy.setLook(from.look());
        return jobs.add(copy);
    }
}
