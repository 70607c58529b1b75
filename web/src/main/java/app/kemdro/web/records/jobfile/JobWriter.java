package app.kemdro.web.records.jobfile;

import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.List;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Writes jobs as files. */
@Component
public class JobWriter {
    private final Runs runs;
    private final Plans plans;
    private final Trade trade;
    private final JobColours colours;
    private final References references;
    private final EventFormat format;
    private final Standings standings;
    private final JsonMapper mapper;

    JobWriter(
            Runs runs,
            Plans plans,
            Trade trade,
            JobColours colours,
            References references,
            EventFormat format,
            Standings standings,
            JsonMapper mapper) {
        this.runs = runs;
        this.plans = plans;
        this.trade = trade;
        this.colours = colours;
        this.references = references;
        this.format = format;
        this.standings = standings;
        this.mapper =
                mapper.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();
    }

    /**
     * A job as JSON.
     *
     * @param health whether what is known of the performer's health goes along
     */
    public String text(Job job, boolean health) {
        return mapper.writeValueAsString(file(job, health));
    }

    /** The look of a job with its mixes and pictures, on nobody: as a start for others. */
    public String look(Job job) {
        ObjectNode file = mapper.valueToTree(file(job, false));
        file.remove(List.of("runs", "order", "bench"));
        ((ObjectNode) file.get("performer")).put("name", "nobody");
        return mapper.writeValueAsString(file);
    }

    private JobFile file(Job job, boolean health) {
        Brief b = job.brief();
        return new JobFile(
                JobFile.FORMAT,
                JobFile.VERSION,
                job.title(),
                job.production(),
                job.idea(),
                new JobFile.Performer(
                        b.performer().name(),
                        b.performer().heightCm(),
                        b.performer().weightKg(),
                        b.performer().headCm(),
                        health ? b.performer().reactsTo().stream().sorted().toList() : null,
                        b.performer().brows(),
                        b.performer().hair(),
                        b.performer().fineHair().stream().sorted().toList()),
                b.call(),
                b.chairIn().orElse(null),
                new JobFile.Room(
                        b.room().temperatureC(),
                        b.room().humidityPercent(),
                        b.room().dryers()),
                b.crew().stream()
                        .map(h -> new JobFile.Hands(h.name(), h.skill(), h.from(), h.until(), h.factor()))
                        .toList(),
                trade.body().sorted(b.costumeCovers()),
                b.costumeMinutes(),
                b.selfApplied(),
                new JobFile.Purpose(
                        b.purpose().seen(),
                        b.purpose().lastsHours(),
                        trade.body().sorted(b.purpose().mustVanish()),
                        b.purpose().moneyShort(),
                        b.purpose().benchDays()),
                new JobFile.Breaks(
                        b.breaks().every(), b.breaks().minutes(), b.breaks().meal()),
                new JobFile.Allowed(
                        trade.body().sorted(b.allowed().bare()),
                        b.allowed().minutes(),
                        b.allowed().schools().isEmpty()
                                ? null
                                : new TreeMap<>(b.allowed().schools())),
                job.look().entries().stream()
                        .map(e -> new JobFile.Entry(
                                e.id(),
                                e.techniqueId(),
                                e.zones(),
                                e.coats(),
                                e.items(),
                                e.strength(),
                                e.coverage(),
                                e.over()))
                        .toList(),
                job.look().wishes().stream()
                        .map(w -> new JobFile.Wish(w.kind(), w.step(), w.to(), w.minutes()))
                        .toList(),
                new JobFile.Bench(
                        job.benchHours().from(),
                        job.benchHours().until(),
                        job.benchHours().hands(),
                        new TreeSet<>(job.benchHours().off()),
                        job.made()),
                new TreeMap<>(b.own()),
                colours.mixes(job.id()).stream()
                        .map(m -> new JobFile.Mix(m.name(), m.entry(), m.parts()))
                        .toList(),
                colours.paints(colours.mixes(job.id())),
                FilePictures.written(references.kept(job.id()).stream()
                        .filter(p -> health || !p.ofPerformer())
                        .toList()),
                plans.of(job).plan().map(p -> order(p.schedule())).orElse(null),
                runs.of(job.id()).stream()
                        .map(r -> new JobFile.Happened(r.beganAt(), r.endedAt(), told(standings.eventsOf(r), health)))
                        .toList());
    }

    private static JobFile.Order order(Schedule schedule) {
        return new JobFile.Order(
                schedule.placed().stream()
                        .map(p -> new JobFile.Step(p.task(), p.worker(), p.helper(), p.mode(), p.start(), p.end()))
                        .toList(),
                schedule.rests().stream()
                        .map(r -> new JobFile.Break(r.start(), r.end()))
                        .toList(),
                schedule.ready());
    }

    /** What was reported; where health stays at home, skin that reacted is not told of. */
    private List<ObjectNode> told(List<RunEvent> events, boolean health) {
        return events.stream()
                .filter(e -> health || !(e instanceof RunEvent.Reaction))
                .map(format::whole)
                .toList();
    }
}
