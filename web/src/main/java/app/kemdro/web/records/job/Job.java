package app.kemdro.web.records.job;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Allowed;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BenchWork;
import app.kemdro.web.parts.live.ShownAhead;
import app.kemdro.web.records.performer.Joined;
import app.kemdro.web.records.performer.Performer;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;
import org.jspecify.annotations.Nullable;

/** One transformation of one performer, as stored. */
@Entity
public class Job implements ShownAhead.Said {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Version
    private long version;

    private String title = "";
    private String production = "";
    private String idea = "";

    @ManyToOne(fetch = FetchType.EAGER)
    private @Nullable Performer performer;

    /** Who is to sit from now on, until it is known whether it is somebody known. */
    @Transient
    private @Nullable Performer newcomer;

    /** Whether it is only what a press would make of a job, stored nowhere. */
    @Transient
    private boolean isSupposed;

    private LocalDateTime callAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime chairIn;

    @Column(name = "temperature_c")
    private double temperatureC;

    private double humidityPercent;
    private int dryers;
    private String costumeCovers = "";
    private int costumeMinutes;
    private boolean selfApplied;
    private String bare = "";
    private int calmMinutes;
    private String schools = "";

    @Enumerated(EnumType.STRING)
    private Seen seen = Seen.CAMERA;

    private int lastsHours;
    private String mustVanish = "";
    private boolean moneyShort;
    private int benchDays;
    private int breakEvery;
    private int breakMinutes;
    private int mealMinutes;

    @Embedded
    private Kept kept = new Kept();

    private @Nullable LocalDateTime setAside;
    private boolean atSensor;

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "job_own_time", joinColumns = @JoinColumn(name = "job_id"))
    @MapKeyColumn(name = "what")
    @Column(name = "factor")
    private Map<String, Double> own = new TreeMap<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "consent", joinColumns = @JoinColumn(name = "job_id"))
    @Column(name = "given")
    private Set<String> consents = new TreeSet<>();

    private LocalTime benchFrom = Hours.USUAL.from();
    private LocalTime benchUntil = Hours.USUAL.until();
    private int benchHands = Hours.USUAL.hands();
    private String benchOff = "";

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "made_already", joinColumns = @JoinColumn(name = "job_id"))
    @Column(name = "entry")
    private Set<String> made = new TreeSet<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "job_hands", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<HandsRow> crew = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "look_entry", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<EntryRow> entries = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "wish", joinColumns = @JoinColumn(name = "job_id"))
    @OrderColumn(name = "position")
    private List<WishRow> wishes = new ArrayList<>();

    protected Job() {}

    /** A new job with nothing on the body yet. */
    public Job(String title, String production, String idea, Brief brief) {
        describe(title, production, idea, brief);
        allow(brief.allowed());
    }

    public long id() {
        if (id == null) {
            throw new IllegalStateException("The job is not stored yet");
        }
        return id;
    }

    /** Changes with the job and with what is known of who sits. */
    public String version() {
        return version + "." + performer().version();
    }

    /** Makes of this copy what will be stored once it is meant. */
    public void suppose() {
        isSupposed = true;
        version++;
    }

    /** Whether it is only supposed: what is kept by versions of a job does not know it. */
    public boolean isSupposed() {
        return isSupposed;
    }

    @Override
    public Object shown() {
        return List.of(
                id(),
                version(),
                title,
                production,
                idea,
                brief(),
                look(),
                consents(),
                made(),
                benchHours(),
                setAside(),
                atSensor);
    }

    /** The version that was last meant by somebody: it is the same after an order was found for it. */
    public String meant() {
        return (version - kept.ordersFound()) + "." + performer().version();
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

    /** Takes over what the brief says of who sits, when, where and for what; what is allowed stays. */
    public final void describe(String title, String production, String idea, Brief brief) {
        this.title = title;
        this.production = production;
        this.idea = idea;
        sit(brief.performer());
        this.callAt = brief.call();
        this.chairIn = brief.chairIn().orElse(null);
        this.temperatureC = brief.room().temperatureC();
        this.humidityPercent = brief.room().humidityPercent();
        this.dryers = brief.room().dryers();
        this.costumeCovers = Joined.join(brief.costumeCovers());
        this.costumeMinutes = brief.costumeMinutes();
        this.selfApplied = brief.selfApplied();
        this.seen = brief.purpose().seen();
        this.lastsHours = brief.purpose().lastsHours();
        this.mustVanish = Joined.join(brief.purpose().mustVanish());
        this.moneyShort = brief.purpose().moneyShort();
        this.benchDays = brief.purpose().benchDays();
        this.breakEvery = brief.breaks().every();
        this.breakMinutes = brief.breaks().minutes();
        this.mealMinutes = brief.breaks().meal();
        if (!brief.own().isEmpty()) {
            own = new TreeMap<>(brief.own());
        }
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
                performer().facts(),
                crew.stream().map(HandsRow::hands).toList(),
                new Room(temperatureC, humidityPercent, dryers),
                Joined.split(costumeCovers),
                costumeMinutes,
                selfApplied,
                new Purpose(seen, lastsHours, Joined.split(mustVanish), moneyShort, benchDays),
                new Breaks(breakEvery, breakMinutes, mealMinutes),
                own,
                new Allowed(Joined.split(bare), calmMinutes, Ways.split(schools)));
    }

    /** Takes over what the artist allows. */
    public final void allow(Allowed allowed) {
        bare = Joined.join(allowed.bare());
        calmMinutes = allowed.minutes();
        schools = Ways.join(allowed.schools());
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

    /** Plans with these times of steps and films from now on; with none, with the library's. */
    public void learn(Map<String, Double> times) {
        own = new TreeMap<>(times);
    }

    /** Plans with another pace of these hands from now on. */
    public void pace(String hands, double factor) {
        crew = crew.stream()
                .map(r ->
                        r.name().equals(hands) ? new HandsRow(r.name(), r.skill(), r.fromAt(), r.untilAt(), factor) : r)
                .collect(Collectors.toCollection(ArrayList::new));
    }

    /** Who sits. */
    public Performer performer() {
        Performer sits = newcomer == null ? performer : newcomer;
        if (sits == null) {
            throw new IllegalStateException("Nobody sits for this job");
        }
        return sits;
    }

    /** The same person is described anew; another name is another person, of whom less or more may be known. */
    private void sit(Brief.Performer facts) {
        if (performer != null && performer.name().equalsIgnoreCase(facts.name())) {
            performer.describe(facts);
        } else {
            newcomer = new Performer(facts);
        }
    }

    /** Seats somebody who is stored. */
    void seat(Performer known) {
        performer = known;
        newcomer = null;
    }

    /** Who is to sit from now on, where that has changed. */
    Optional<Performer> newcomer() {
        return Optional.ofNullable(newcomer);
    }

    /** What the performer agreed to, ids of safety.yaml. */
    public Set<String> consents() {
        return new TreeSet<>(consents);
    }

    public void agreedTo(Set<String> procedures) {
        consents = new TreeSet<>(procedures);
    }

    /** When the bench is worked at for it. */
    public Hours benchHours() {
        return new Hours(
                benchFrom,
                benchUntil,
                benchHands,
                Joined.split(benchOff).stream().map(DayOfWeek::valueOf).collect(Collectors.toSet()));
    }

    /** Entries of the look that nothing has to be made for any more. */
    public Set<String> made() {
        return new TreeSet<>(made);
    }

    public void planBench(Hours hours, Set<String> madeAlready) {
        benchFrom = hours.from();
        benchUntil = hours.until();
        benchHands = hours.hands();
        benchOff =
                Joined.join(hours.off().stream().sorted().map(DayOfWeek::name).toList());
        made = new TreeSet<>(madeAlready);
    }

    /** Bench work that is still to be done. */
    public List<BenchWork> benchWork(Trade trade) {
        return BenchWork.of(look(), brief(), trade).stream()
                .filter(w -> !made.contains(w.entry()))
                .toList();
    }

    public Look look() {
        return new Look(entries.stream().map(EntryRow::entry).toList())
                .wishing(wishes.stream().map(WishRow::wish).toList());
    }

    /** Replaces what happens on the body. */
    public void setLook(Look look) {
        entries = look.entries().stream().map(EntryRow::of).collect(Collectors.toCollection(ArrayList::new));
        wishes = look.wishes().stream().map(WishRow::of).collect(Collectors.toCollection(ArrayList::new));
    }

    /** Its order and its look as they were before the last change. */
    public Kept kept() {
        return kept;
    }

    /** When it was taken off the shelf; empty while it stands there. */
    public Optional<LocalDateTime> setAside() {
        return Optional.ofNullable(setAside);
    }

    void setAside(@Nullable LocalDateTime at) {
        this.setAside = at;
    }

    /** Whether it is done in the room whose air the house measures. */
    public boolean atSensor() {
        return atSensor;
    }

    public void atSensor(boolean there) {
        this.atSensor = there;
    }
}
