package app.kemdro.core.kit;

import static app.kemdro.core.plan.Samples.TRADE;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.plan.Plan;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Weights and strengths read by hand from the data: latex 5 g a centimetre, 58 cm glued all round, 30 cm in front only. */
class CapLoadTest {
    private static final Waste WASTE = Waste.standard(TRADE.body());

    private static List<CapLoad> loads(LookEntry... entries) {
        Look look = look(entries);
        Plan plan = planned(look, brief(lead("Ines")));
        return CapLoad.of(plan, look, TRADE, WASTE);
    }

    private static LookEntry headPiece(Strength strength) {
        return entry("head-piece", "crown", "hairline", "back-of-head").strong(strength);
    }

    @Test
    void aHeavyHeadPieceIsNearWhatALatexCapCarriesAndHornsOnItSplitIt() {
        CapLoad usual = loads(entry("hair-flat", "crown"), entry("cap-latex", "crown"), headPiece(Strength.USUAL))
                .get(0);
        double area = 275.4 + 77.8 + 268.9;
        double head = brief(lead("Ines")).performer().areaScale();
        assertThat(usual.grams()).isCloseTo(0.3 * area * head, within(0.5));
        assertThat(usual.gluedCm()).isEqualTo(58);
        assertThat(usual.carries()).isCloseTo(5 * 58, within(1e-9));
        assertThat(usual.isNear() || usual.isOver()).isFalse();
        CapLoad heavy = loads(entry("hair-flat", "crown"), entry("cap-latex", "crown"), headPiece(Strength.HEAVY))
                .get(0);
        assertThat(heavy.grams()).isCloseTo(1.4 * usual.grams(), within(1e-6));
        assertThat(heavy.isNear()).isTrue();
        assertThat(heavy.advice()).contains("a second person holds");
        CapLoad horned = loads(
                        entry("hair-flat", "crown"),
                        entry("cap-latex", "crown"),
                        headPiece(Strength.HEAVY),
                        entry("horns-hollow", "crown"))
                .get(0);
        assertThat(horned.grams()).isCloseTo(heavy.grams() + 0.2 * 275.4 * head, within(0.5));
        assertThat(horned.hanging()).hasSize(2);
        assertThat(horned.isOver()).isTrue();
        assertThat(horned.advice()).contains("tie or strap", "second person");
    }

    @Test
    void gluedInFrontOnlyItCarriesHalfAsMuchAndTheSecondEdgeOfATrimmedCapCountsOnce() {
        assertThat(loads(entry("hair-flat", "crown"), entry("cap-latex-front", "crown"), headPiece(Strength.USUAL)))
                .singleElement()
                .satisfies(l -> assertThat(l.carries()).isCloseTo(5 * 30, within(1e-9)))
                .satisfies(l -> assertThat(l.isOver()).isTrue());
        assertThat(loads(entry("hair-flat", "crown"), entry("cap-latex-trimmed", "crown"), headPiece(Strength.USUAL)))
                .singleElement()
                .satisfies(l -> assertThat(l.gluedCm()).isEqualTo(58));
    }

    @Test
    void hairThatIsOnlyAwayFromTheFaceHalvesIt() {
        assertThat(loads(entry("hair-away", "crown"), entry("cap-gum-front-tail", "crown"), headPiece(Strength.USUAL)))
                .singleElement()
                .satisfies(l -> assertThat(l.flat()).isFalse())
                .satisfies(l -> assertThat(l.carries()).isCloseTo(5 * 30 * 0.5, within(1e-9)));
    }

    @Test
    void aPieceOnTheChinDoesNotHangOnTheCapNorDoesAHatThatRestsOnTheHead() {
        assertThat(loads(entry("hair-flat", "crown"), entry("cap-latex", "crown"), entry("foam-piece", "chin")))
                .isEmpty();
        assertThat(loads(
                        entry("hair-flat", "crown"),
                        entry("cap-latex", "crown"),
                        entry("worn-hat", "crown", "hairline", "back-of-head")))
                .isEmpty();
    }

    @Test
    void aThickerCapCarriesMore() {
        LookEntry cap = entry("cap-latex", "crown").strong(Strength.HEAVY);
        assertThat(loads(entry("hair-flat", "crown"), cap, headPiece(Strength.USUAL)))
                .singleElement()
                .satisfies(l -> assertThat(l.carries()).isCloseTo(1.4 * 5 * 58, within(1e-9)));
    }
}
