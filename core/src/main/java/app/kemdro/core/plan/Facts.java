package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.material.Materials.Reaction;
import app.kemdro.core.method.Fact;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Set;

/** What is true of a job on some zones, as far as it speaks for or against a way of working. */
final class Facts {
    private static final int LONG_HOURS = 6;
    private static final int NOTICE_DAYS = 2;
    private static final double LARGE_CM2 = 400;
    private static final double SMALL_CM2 = 60;

    private Facts() {}

    /** Facts of a brief on these zones; late where the plan does not make its call. */
    static Set<Fact> of(Brief brief, Collection<String> zones, boolean late, Trade trade) {
        Set<Fact> facts = EnumSet.of(
                switch (brief.purpose().seen()) {
                    case CLOSE_CAMERA -> Fact.CLOSE_CAMERA;
                    case CAMERA -> Fact.CAMERA;
                    case STAGE -> Fact.STAGE;
                    case STREET -> Fact.STREET;
                });
        facts.add(
                switch (brief.performer().brows()) {
                    case FINE -> Fact.FINE_BROWS;
                    case MEDIUM -> Fact.MEDIUM_BROWS;
                    case THICK -> Fact.THICK_BROWS;
                });
        add(facts, Fact.NO_HAIR, brief.performer().hair() == Brief.Hair.NONE);
        add(facts, Fact.LONG_HAIR, brief.performer().hair() == Brief.Hair.LONG);
        add(facts, Fact.LONG_DAY, brief.purpose().lastsHours() > LONG_HOURS);
        add(facts, Fact.SHORT_TIME, late);
        add(facts, Fact.SHORT_NOTICE, brief.purpose().benchDays() < NOTICE_DAYS);
        add(facts, Fact.LITTLE_MONEY, brief.purpose().moneyShort());
        add(facts, Fact.ALONE, brief.selfApplied());
        add(
                facts,
                Fact.SENSITIVE_EYES,
                trade.materials().reactions(brief.performer().reactsTo()).stream()
                        .anyMatch(Reaction::sensitiveEyes));
        add(facts, Fact.MOVES_MUCH, zones.stream().anyMatch(trade.body()::moves));
        add(facts, Fact.CREASES, zones.stream().anyMatch(trade.body()::creases));
        double area = Areas.of(zones, brief.performer(), trade.body());
        add(facts, Fact.LARGE_AREA, area > LARGE_CM2);
        add(facts, Fact.SMALL_AREA, area > 0 && area < SMALL_CM2);
        add(facts, Fact.HIDDEN, !zones.isEmpty() && brief.costumeCovers().containsAll(zones));
        return facts;
    }

    private static void add(Set<Fact> facts, Fact fact, boolean holds) {
        if (holds) {
            facts.add(fact);
        }
    }
}
