package app.kemdro.web.records.safety;

import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.Finding.Kind;
import app.kemdro.core.safety.Safety;
import app.kemdro.core.safety.Safety.Procedure;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.InTheWay;
import app.kemdro.web.records.plan.Removals;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says what stands between a job and the chair. */
@Component
public class Gate implements InTheWay {
    private final SafetyLiftRepository lifts;
    private final Safety safety;
    private final Removals removals;
    private final Clock clock;

    Gate(SafetyLiftRepository lifts, Removals removals, Trade trade, Clock clock) {
        this.lifts = lifts;
        this.safety = new Safety(trade);
        this.removals = removals;
        this.clock = clock;
    }

    /** Families of which a patch test is written down, by name. */
    public List<Material> tested() {
        return safety.tested();
    }

    /** Families of this plan that need a patch test, by name. */
    public List<Material> toTest(Job job, Plan plan) {
        return safety.toTest(plan, job.look(), removals.of(plan));
    }

    /** Everything to be seen to on this job. */
    public List<Finding> findings(Job job, Plan plan) {
        return safety.of(
                plan, job.look(), removals.of(plan), job.performer().care(), job.consents(), LocalDateTime.now(clock));
    }

    /** What the performer of this plan has to agree to. */
    public List<Procedure> procedures(Plan plan) {
        return safety.procedures(plan);
    }

    /** Blocks that nobody has lifted: nobody begins before they are seen to. */
    public List<String> closed(Job job, Plan plan) {
        return closed(findings(job, plan), lifted(job));
    }

    public static List<String> closed(List<Finding> findings, Map<String, String> lifted) {
        return findings.stream()
                .filter(f -> f.kind() == Kind.BLOCKS && !lifted.containsKey(f.key()))
                .map(Finding::what)
                .toList();
    }

    @Override
    public String room() {
        return "safety";
    }

    @Override
    public Said of(Job job, Plan plan) {
        List<Finding> findings = findings(job, plan);
        List<String> closed = closed(findings, lifted(job));
        List<String> open = findings.stream()
                .filter(f -> f.kind() == Kind.WARNS)
                .map(Finding::what)
                .map(what -> what.endsWith(".") ? what.substring(0, what.length() - 1) : what)
                .toList();
        List<Line> lines = new ArrayList<>();
        if (!closed.isEmpty()) {
            lines.add(new Line(
                    Problem.obstacle(
                            true, "Nobody begins yet: " + String.join(" ", closed), "See to it in Safety.", List.of()),
                    closed.size() == 1 ? "1 blocks" : closed.size() + " block"));
        }
        if (!open.isEmpty()) {
            lines.add(new Line(
                    Problem.obstacle(false, Words.few(open) + ".", "All of it stands in Safety.", List.of()),
                    open.size() + " to do"));
        }
        return Said.always(lines);
    }

    /** Lifted blocks by their key, with who lifted them and why. */
    public Map<String, String> lifted(Job job) {
        return lifts.findByJobIdOrderById(job.id()).stream()
                .collect(Collectors.toMap(SafetyLift::finding, SafetyLift::said, (a, b) -> b));
    }

    /** Forgets what was lifted for the performer of a job. */
    @Transactional
    public void forget(long jobId) {
        lifts.deleteByJobId(jobId);
    }

    @Transactional
    public void lift(Job job, Finding finding, String reason, String who) {
        lifts.save(new SafetyLift(job.id(), finding.key(), reason, who, LocalDateTime.now(clock)));
    }
}
