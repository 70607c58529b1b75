package app.kemdro.core.question;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.method.Rule;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.SenseWeights.Term;
import java.util.List;
import java.util.Set;

/**
 * One thing that an artist asks of a finished order.
 *
 * @param says what is true of an order that is as it should be
 * @param how the way it is looked at
 * @param most minutes, times or multiples that are still as they should be; 0 where none are meant
 * @param rules rules of the trade that it stands for
 * @param terms what of sense weighs more where it is to be mended
 */
public record Question(String id, String says, How how, double most, List<Rule> rules, Set<Term> terms) {
    /** Ways to look at an order. */
    public enum How {
        RULES,
        OVERLAPS,
        TWINS,
        WINDOWS,
        DUST,
        MINUTES,
        HANDS,
        PICK_UP,
        WAITS,
        BARE
    }

    /** Those that ship with Kemdro, in the order in which they are asked. */
    public static List<Question> standard(Trade trade) {
        return read(DataNode.resource("/trade/questions.yaml"), trade);
    }

    static List<Question> read(DataNode file, Trade trade) {
        return file.items().stream().map(node -> read(trade, node)).toList();
    }

    private static Question read(Trade trade, DataNode node) {
        node.onlyKeys(Set.of("id", "says", "how", "most", "rules", "terms"));
        List<Rule> rules = node.words("rules").stream()
                .map(id -> trade.rules().stream()
                        .filter(r -> r.id().equals(id))
                        .findFirst()
                        .orElseThrow(() -> node.get("rules").broken("there is no rule '" + id + "'")))
                .toList();
        return new Question(
                node.get("id").text(),
                node.get("says").text(),
                node.get("how").choice(How.class),
                node.number("most", 0, 0, 60),
                rules,
                node.choices("terms", Term.class));
    }
}
