package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataFiles;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** All that Kemdro knows of the trade, read once: body, materials, techniques and rules of order. */
public final class Trade {
    private final Body body;
    private final Materials materials;
    private final Map<String, Technique> techniques;
    private final List<Rule> rules;
    private final List<SenseOf> sense;
    private final OwnHands ownHands;
    private final FineHair fineHair;
    private final Touches touches;
    private final List<SmallPlace> smallPlaces;
    private final LateWork lateWork;
    private final Strata strata;
    private final List<Repair> repairs;
    private final Map<String, String> states;
    private final List<OrderSchool> orderSchools;
    private final Map<Role, Technique> first = new EnumMap<>(Role.class);
    private final Map<String, List<Technique>> implied = new HashMap<>();

    Trade(
            Body body,
            Materials materials,
            List<Technique> techniques,
            List<Rule> rules,
            Strata strata,
            List<Repair> repairs,
            Map<String, String> states,
            List<SenseOf> sense,
            OwnHands ownHands,
            FineHair fineHair,
            Touches touches,
            List<SmallPlace> smallPlaces,
            LateWork lateWork,
            List<OrderSchool> orderSchools) {
        this.orderSchools = orderSchools;
        this.ownHands = ownHands;
        this.fineHair = fineHair;
        this.touches = touches;
        this.smallPlaces = List.copyOf(smallPlaces);
        this.lateWork = lateWork;
        this.sense = sense;
        this.states = Map.copyOf(states);
        this.repairs = List.copyOf(repairs);
        this.body = body;
        this.materials = materials;
        this.techniques = new LinkedHashMap<>();
        techniques.forEach(t -> {
            this.techniques.put(t.id(), t);
            t.roles().forEach(role -> first.putIfAbsent(role, t));
        });
        this.rules = List.copyOf(rules);
        this.strata = strata;
        techniques.stream()
                .filter(Technique::implied)
                .forEach(t -> t.gives()
                        .forEach(state -> implied.computeIfAbsent(state, k -> new ArrayList<>())
                                .add(t)));
    }

    /**
     * Reads the data that ships with Kemdro and checks it as a whole.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public static Trade standard() {
        return TradeReader.read(
                Body.standard(),
                Materials.standard(),
                DataFiles.shipped("/trade/techniques"),
                name -> DataNode.resource("/trade/" + name + ".yaml"),
                WorkLaws.standard());
    }

    public Body body() {
        return body;
    }

    public Materials materials() {
        return materials;
    }

    public Collection<Technique> techniques() {
        return techniques.values();
    }

    public boolean has(String techniqueId) {
        return techniques.containsKey(techniqueId);
    }

    /** Whether some technique is this kind of work. */
    public boolean hasSlot(String slot) {
        return techniques.values().stream().anyMatch(t -> t.slot().equals(slot));
    }

    /** The technique of this id. */
    public Technique technique(String id) {
        Technique found = techniques.get(id);
        if (found == null) {
            throw new IllegalArgumentException("No technique is called '" + id + "'");
        }
        return found;
    }

    /** What a zone is in a state, as in "with the cap on". */
    public String say(String state) {
        return states.getOrDefault(state, state.replace('-', ' '));
    }

    /** The first technique that has a role. */
    public Technique first(Role role) {
        Technique found = first.get(role);
        if (found == null) {
            throw new IllegalArgumentException("No technique is " + role);
        }
        return found;
    }

    /** In which order the kinds of work lie on the body. */
    public Strata strata() {
        return strata;
    }

    /** What goes wrong in the chair and how it is put right, in file order. */
    public List<Repair> repairs() {
        return repairs;
    }

    /** The repair of this id. */
    public Repair repair(String id) {
        return repairs.stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No repair is called '" + id + "'"));
    }

    public List<Rule> rules() {
        return rules;
    }

    /**
     * Rules that hold for work on somebody else, or on oneself.
     *
     * @param chosen ways that were chosen, by school
     */
    public List<Rule> rules(boolean selfApplied, Map<String, String> chosen) {
        Map<String, String> ways = new HashMap<>();
        orderSchools.forEach(s -> ways.put(s.id(), s.taken(chosen).id()));
        return rules.stream().filter(r -> r.holds(selfApplied, ways)).toList();
    }

    /** Questions of order in which practitioners differ, in file order. */
    public List<OrderSchool> orderSchools() {
        return orderSchools;
    }

    /** Small places, as one says where something went wrong. */
    public List<SmallPlace> smallPlaces() {
        return smallPlaces;
    }

    /** What can still be put on while a run is on. */
    public LateWork lateWork() {
        return lateWork;
    }

    /** Hair that glue and latex would catch. */
    public FineHair fineHair() {
        return fineHair;
    }

    /** What comes off on whatever a performer touches. */
    public Touches touches() {
        return touches;
    }

    /** Hands of somebody who works on themselves, and what they do not touch with what they have on them. */
    public OwnHands ownHands() {
        return ownHands;
    }

    /** What makes sense in an order, beyond what is a rule. */
    public List<SenseOf> sense() {
        return sense;
    }

    /** Other schools of the same family, in file order. */
    public List<Technique> schoolsBeside(Technique technique) {
        return techniques.values().stream()
                .filter(t -> t.family().equals(technique.family()) && !t.id().equals(technique.id()))
                .toList();
    }

    /** Other schools of the same family that can be laid on all of these zones, in file order. */
    public List<Technique> schoolsBeside(Technique technique, Collection<String> zones) {
        return schoolsBeside(technique).stream()
                .filter(t -> t.zones().containsAll(zones))
                .toList();
    }

    /** Techniques that put themselves in where a need is not met and that give this state. */
    public List<Technique> impliedGivers(String state) {
        return implied.getOrDefault(state, List.of());
    }
}
