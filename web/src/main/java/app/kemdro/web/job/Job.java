package app.kemdro.web.job;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BenchWork;
import app.kemdro.core.safety.Care;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Lob;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** One transformation of one performer, as stored. */
@Entity
public class Job {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Version
    private long version;

    private String title = "";
    private String production = "";
    private String idea = "";
    private String performerName = "";
    private int heightCm;
    private int weightKg;
    private double headCm;
    private String reactsTo = "";
    private LocalDateTime callAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime chairIn;

    @Column(name = "temperature_c")
    private double temperatureC;

    private double humidityPercent;
    private int dryers;
    private String costumeCovers = "";
    private int costumeMinutes;
    private boolean selfApplied;

    @Enumerated(EnumType.STRING)
    private Brows brows = Brows.MEDIUM;

    @Enumerated(EnumType.STRING)
    private Hair hair = Hair.SHORT;

    @Enumerated(EnumType.STRING)
    private Seen seen = Seen.CAMERA;

    private int lastsHours;
    private String mustVanish = "";
    private boolean moneyShort;
    private int benchDays;
    private int breakEvery;
    private int breakMinutes;
    private int mealMinutes;

    @Lob
    private String orderBefore = "";

    private String orderProof = "";

    @Lob
    private String lookBefore = "";

    private int lensHours;
    private boolean panics;
    private boolean minor;
    private boolean guardian;
    private String brokenZones = "";

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "patch_test", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<PatchTestRow> patchTests = new ArrayList<>();

    private String skin = "fair";
    private LocalTime benchFrom = Hours.USUAL.from();
    private LocalTime benchUntil = Hours.USUAL.until();
    private int benchHands = Hours.USUAL.hands();
    private String benchOff = "";

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "made_already", joinColumns = @JoinColumn(name = "job_id"))
    @Column(name = "entry")
    private Set<String> made = new TreeSet<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "job_hands", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<HandsRow> crew = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "look_entry", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<EntryRow> entries = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "wish", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<WishRow> wishes = new ArrayList<>();

    protected Job() {}

    /** A new job with nothing on the body yet. */
    public Job(String title, String production, String idea, Brief brief) {
        describe(title, production, idea, brief);
    }

    public long id() {
        if (id == null) {
            throw new IllegalStateException("The job is not stored yet");
        }
        return id;
    }

    public long version() {
        return version;
    }

    public String title() {
        return title;
    }

    public String production() {
        return production;
    }

    public String idea() {
        return idea;
    }

    /** Takes over everything the brief says. */
    public final void describe(String title, String production, String idea, Brief brief) {
        this.title = title;
        this.production = production;
        this.idea = idea;
        this.performerName = brief.performer().name();
        this.heightCm = brief.performer().heightCm();
        this.weightKg = brief.performer().weightKg();
        this.headCm = brief.performer().headCm();
        this.reactsTo = join(brief.performer().reactsTo());
        this.callAt = brief.call();
        this.chairIn = brief.chairIn().orElse(null);
        this.temperatureC = brief.room().temperatureC();
        this.humidityPercent = brief.room().humidityPercent();
        this.dryers = brief.room().dryers();
        this.costumeCovers = join(brief.costumeCovers());
        this.costumeMinutes = brief.costumeMinutes();
        this.selfApplied = brief.selfApplied();
        this.brows = brief.performer().brows();
        this.hair = brief.performer().hair();
        this.seen = brief.purpose().seen();
        this.lastsHours = brief.purpose().lastsHours();
        this.mustVanish = join(brief.purpose().mustVanish());
        this.moneyShort = brief.purpose().moneyShort();
        this.benchDays = brief.purpose().benchDays();
        this.breakEvery = brief.breaks().every();
        this.breakMinutes = brief.breaks().minutes();
        this.mealMinutes = brief.breaks().meal();
        List<HandsRow> rows = brief.crew().stream()
                .map(h -> new HandsRow(h.name(), h.skill(), h.from(), h.until(), factor(h)))
                .toList();
        if (!rows.equals(crew)) {
            crew = new ArrayList<>(rows);
        }
    }

    public Brief brief() {
        return new Brief(
                callAt,
                Optional.ofNullable(chairIn),
                new Performer(performerName, heightCm, weightKg, headCm, split(reactsTo), brows, hair),
                crew.stream()
                        .map(r -> new Hands(r.name(), r.skill(), r.fromAt(), r.untilAt(), r.factor()))
                        .toList(),
                new Room(temperatureC, humidityPercent, dryers),
                split(costumeCovers),
                costumeMinutes,
                selfApplied,
                new Purpose(seen, lastsHours, split(mustVanish), moneyShort, benchDays),
                new Breaks(breakEvery, breakMinutes, mealMinutes));
    }

    /** A form says nothing of how quick hands are: what was learnt of them stays. */
    private double factor(Hands hands) {
        return hands.factor() != 1
                ? hands.factor()
                : crew.stream()
                        .filter(r -> r.name().equals(hands.name()))
                        .mapToDouble(HandsRow::factor)
                        .findFirst()
                        .orElse(1);
    }

    /** Plans with another pace of these hands from now on. */
    public void pace(String hands, double factor) {
        crew = crew.stream()
                .map(r ->
                        r.name().equals(hands) ? new HandsRow(r.name(), r.skill(), r.fromAt(), r.untilAt(), factor) : r)
                .collect(Collectors.toCollection(ArrayList::new));
    }

    /** What is known of the performer beside their reactions. */
    public Care care() {
        return new Care(
                lensHours,
                panics,
                minor,
                guardian,
                split(brokenZones),
                patchTests.stream().map(PatchTestRow::test).toList());
    }

    public void careFor(Care care) {
        lensHours = care.lensHours();
        panics = care.panics();
        minor = care.minor();
        guardian = care.guardian();
        brokenZones = join(care.broken().stream().sorted().toList());
        patchTests = care.tests().stream().map(PatchTestRow::of).collect(Collectors.toCollection(ArrayList::new));
    }

    /** The skin that colours are laid on, an id of colours.yaml. */
    public String skin() {
        return skin;
    }

    public void onSkin(String id) {
        skin = id;
    }

    /** When the bench is worked at for it. */
    public Hours benchHours() {
        return new Hours(
                benchFrom,
                benchUntil,
                benchHands,
                split(benchOff).stream().map(DayOfWeek::valueOf).collect(Collectors.toSet()));
    }

    /** Entries of the look that nothing has to be made for any more. */
    public Set<String> made() {
        return new TreeSet<>(made);
    }

    public void planBench(Hours hours, Set<String> madeAlready) {
        benchFrom = hours.from();
        benchUntil = hours.until();
        benchHands = hours.hands();
        benchOff = join(hours.off().stream().sorted().map(DayOfWeek::name).toList());
        made = new TreeSet<>(madeAlready);
    }

    /** Bench work that is still to be done. */
    public List<BenchWork> benchWork(Trade trade) {
        return BenchWork.of(look(), brief(), trade).stream()
                .filter(w -> !made.contains(w.entry()))
                .toList();
    }

    public Look look() {
        return new Look(entries.stream()
                        .map(e -> new LookEntry(
                                e.entryKey(),
                                e.technique(),
                                List.copyOf(split(e.zones())),
                                e.coats(),
                                e.items(),
                                e.strength(),
                                e.coverage(),
                                e.overEntry()))
                        .toList())
                .wishing(wishes.stream().map(WishRow::wish).toList());
    }

    /** Replaces what happens on the body. */
    public void setLook(Look look) {
        entries = look.entries().stream()
                .map(e -> new EntryRow(
                        e.id(),
                        e.techniqueId(),
                        join(e.zones()),
                        e.coats(),
                        e.items(),
                        e.strength(),
                        e.coverage(),
                        e.over()))
                .collect(Collectors.toCollection(ArrayList::new));
        wishes = look.wishes().stream().map(WishRow::of).collect(Collectors.toCollection(ArrayList::new));
    }

    /** The order people had in mind before the last change, as the planner wrote it; empty when there was none. */
    public String orderBefore() {
        return orderBefore;
    }

    /** The look before its last change, as JSON; empty when there was none. */
    public String lookBefore() {
        return lookBefore;
    }

    public void keepLook(String look) {
        this.lookBefore = look;
    }

    public void keepOrder(String order) {
        keepOrder(order, "");
    }

    /** Keeps an order, and what its bound was proven for. */
    public void keepOrder(String order, String provenOf) {
        this.orderBefore = order;
        this.orderProof = provenOf;
    }

    /** Fingerprint of the network for which the kept order's bound was proven; empty where it was not. */
    public String orderProof() {
        return orderProof;
    }

    private static String join(Collection<String> words) {
        return words.stream().sorted().collect(Collectors.joining(","));
    }

    private static Set<String> split(String joined) {
        return Stream.of(joined.split(","))
                .filter(s -> !s.isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
