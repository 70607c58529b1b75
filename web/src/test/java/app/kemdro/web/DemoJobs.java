package app.kemdro.web;

import app.kemdro.core.look.Brief.Performer;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.SitsFor;
import java.util.Comparator;
import java.util.List;

/** Jobs like those of the demo world, for tests that change theirs. */
public final class DemoJobs {
    private DemoJobs() {}

    /** All jobs on the shelf, the soonest call first. */
    public static List<Job> all(Jobs jobs) {
        return jobs.sitting().stream()
                .map(SitsFor::performer)
                .distinct()
                .flatMap(p -> jobs.satFor(p).stream())
                .filter(j -> j.setAside().isEmpty())
                .sorted(Comparator.comparing((Job j) -> j.brief().call()))
                .toList();
    }

    /** The job of this title; where there are several, the one that was there first. */
    public static Job called(String title, Jobs jobs) {
        return all(jobs).stream()
                .filter(j -> j.title().equals(title))
                .min(Comparator.comparingLong(Job::id))
                .orElseThrow();
    }

    /** A job with brief and look of the demo's job of this title, on somebody of the same measures who sits for no other job. */
    public static Job like(String title, String called, Jobs jobs) {
        Job from = called(title, jobs);
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
