package app.kemdro.web.records.performer;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.safety.HealthRecord;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Version;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;
import org.jspecify.annotations.Nullable;

/** Somebody who is made up. What is known of them holds on every job they sit for. */
@Entity
public class Performer {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Version
    private long version;

    private String name = "";
    private int heightCm;
    private int weightKg;
    private double headCm;
    private String reactsTo = "";

    @Enumerated(EnumType.STRING)
    private Brows brows = Brows.MEDIUM;

    @Enumerated(EnumType.STRING)
    private Hair hair = Hair.SHORT;

    private String fineHair = "";

    private String skin = "fair";
    private int lensHours;
    private boolean panics;
    private boolean minor;
    private boolean guardian;
    private String brokenZones = "";

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "patch_test", joinColumns = @JoinColumn(name = "performer_id"))
    @OrderColumn(name = "position")
    private List<PatchTestRow> patchTests = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @Fetch(FetchMode.SUBSELECT)
    @CollectionTable(name = "skin_seen", joinColumns = @JoinColumn(name = "performer_id"))
    @OrderColumn(name = "position")
    private List<SkinSeenRow> skinSeen = new ArrayList<>();

    protected Performer() {}

    /** Somebody of whom no more is known than this. */
    public Performer(Brief.Performer facts) {
        describe(facts);
    }

    public long id() {
        if (id == null) {
            throw new IllegalStateException("The performer is not stored yet");
        }
        return id;
    }

    /** Changes with everything that is known of them. */
    public long version() {
        return version;
    }

    public String name() {
        return name;
    }

    public void callThem(String other) {
        name = other;
    }

    /** What a plan has to know of them. */
    public Brief.Performer facts() {
        return new Brief.Performer(
                name, heightCm, weightKg, headCm, Joined.split(reactsTo), brows, hair, Joined.split(fineHair));
    }

    /** Takes over what a brief says of them; a reaction is only ever added so, and taken out by {@link #noLongerReactsTo} alone. */
    public final void describe(Brief.Performer facts) {
        name = facts.name();
        heightCm = facts.heightCm();
        weightKg = facts.weightKg();
        headCm = facts.headCm();
        alsoReactsTo(facts.reactsTo());
        brows = facts.brows();
        hair = facts.hair();
        fineHair = Joined.join(facts.fineHair());
    }

    /** Keeps what is known and takes over reactions that somebody else knows of: none is ever lost to a file. */
    public void alsoReactsTo(Set<String> reactions) {
        Set<String> all = new HashSet<>(Joined.split(reactsTo));
        if (all.addAll(reactions)) {
            reactsTo = Joined.join(all);
        }
    }

    /** A reaction turned out not to be one. */
    public void noLongerReactsTo(String reaction) {
        Set<String> all = new HashSet<>(Joined.split(reactsTo));
        all.remove(reaction);
        reactsTo = Joined.join(all);
    }

    /** What is known of them beside their reactions. */
    public HealthRecord care() {
        return new HealthRecord(
                lensHours,
                panics,
                minor,
                guardian,
                Joined.split(brokenZones),
                patchTests.stream().map(PatchTestRow::test).toList(),
                skinSeen.stream().map(SkinSeenRow::seen).toList());
    }

    /** Every look at their skin, as it came in. */
    public List<SkinSeenRow> skinSeen() {
        return List.copyOf(skinSeen);
    }

    /** Adds a look at a zone of their skin. */
    public void see(SkinSeenRow look) {
        skinSeen = new ArrayList<>(skinSeen);
        skinSeen.add(look);
    }

    /** Takes over all but what was seen of their skin, which is only ever added to. */
    public void careFor(HealthRecord care) {
        lensHours = care.lensHours();
        panics = care.panics();
        minor = care.minor();
        guardian = care.guardian();
        brokenZones = Joined.join(care.broken());
        patchTests = care.tests().stream().map(PatchTestRow::of).collect(Collectors.toCollection(ArrayList::new));
    }

    /** The skin that colours are laid on, an id of colours.yaml. */
    public String skin() {
        return skin;
    }

    public void onSkin(String id) {
        skin = id;
    }

    /** Forgets everything about their health. */
    public void forgetHealth() {
        reactsTo = "";
        careFor(HealthRecord.UNKNOWN);
        skinSeen = new ArrayList<>();
    }
}
