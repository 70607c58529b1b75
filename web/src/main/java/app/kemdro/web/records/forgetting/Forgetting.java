package app.kemdro.web.records.forgetting;

import app.kemdro.core.look.Brief;
import app.kemdro.web.parts.typed.TakeBacks;
import app.kemdro.web.records.finding.Finds;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.performer.Performer;
import app.kemdro.web.records.performer.Performers;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.Archive;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.safety.Gate;
import app.kemdro.web.records.strike.Strikes;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes what is known of somebody's health, or who they are, out of everything that is kept. */
@Service
public class Forgetting {
    private final Performers performers;
    private final Jobs jobs;
    private final Runs runs;
    private final Strikes strikes;
    private final RunPictures pictures;
    private final References references;
    private final Gate gate;
    private final Archive archive;
    private final Finds finds;
    private final TakeBacks backs;

    Forgetting(
            Performers performers,
            Jobs jobs,
            Runs runs,
            Strikes strikes,
            RunPictures pictures,
            References references,
            Gate gate,
            Archive archive,
            Finds finds,
            TakeBacks backs) {
        this.backs = backs;
        this.finds = finds;
        this.archive = archive;
        this.strikes = strikes;
        this.pictures = pictures;
        this.references = references;
        this.performers = performers;
        this.jobs = jobs;
        this.runs = runs;
        this.gate = gate;
    }

    /** Jobs this person sits for. */
    public List<Job> jobsOf(Performer performer) {
        return jobs.satFor(performer.id());
    }

    /** Calls somebody otherwise; what is kept of past days stays theirs. */
    @Transactional
    public void rename(Performer performer, String other) {
        performers.change(performer.id(), p -> p.callThem(other));
    }

    /** Reactions, tests, lenses, what was seen and pictured of skin, what was lifted for them and what they agreed to. */
    @Transactional
    public void health(Performer performer) {
        forget(performer, p -> p);
    }

    /** The same, and name and pictures: minutes and what was laid stay, on nobody. */
    @Transactional
    public void person(Performer performer) {
        String nobody = "Performer " + performer.id();
        List<Run> sat = archive.satBy(performer.id());
        forget(
                performer,
                p -> new Brief.Performer(
                        nobody,
                        p.heightCm(),
                        p.weightKg(),
                        p.headCm(),
                        p.reactsTo(),
                        p.brows(),
                        p.hair(),
                        p.fineHair()));
        sat.forEach(pictures::removeAll);
        jobsOf(performer).forEach(j -> references.removeOfPerformer(j.id()));
        performers.change(performer.id(), p -> p.callThem(nobody));
    }

    private void forget(Performer performer, UnaryOperator<Brief.Performer> as) {
        backs.forget();
        UnaryOperator<Brief.Performer> healthyAs = p -> healthy(as.apply(p));
        List<Run> sat = archive.satBy(performer.id());
        sat.forEach(r -> runs.refuseWhileRunning(r.jobId()));
        for (Run run : sat) {
            archive.forgetHealth(run, healthyAs);
            pictures.removeSkin(run);
            finds.forget(run.jobId());
        }
        strikes.forgetHealth(performer.id(), healthyAs);
        for (Job job : jobsOf(performer)) {
            gate.forget(job.id());
            finds.forget(job.id());
            jobs.change(job.id(), j -> j.agreedTo(Set.of()));
        }
        performers.change(performer.id(), Performer::forgetHealth);
    }

    private static Brief.Performer healthy(Brief.Performer p) {
        return new Brief.Performer(
                p.name(), p.heightCm(), p.weightKg(), p.headCm(), Set.of(), p.brows(), p.hair(), p.fineHair());
    }
}
