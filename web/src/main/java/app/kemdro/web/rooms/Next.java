package app.kemdro.web.rooms;

import java.util.List;
import java.util.Optional;

/**
 * The room that comes next for whoever goes through them the first time.
 *
 * @param room its name in addresses
 * @param name its name
 * @param why what is done there
 */
public record Next(String room, String name, String why) {
    private static final List<Next> WAY = List.of(
            new Next("brief", "Brief", "who the character is, who sits, and the call."),
            new Next("look", "Look", "press a zone and say what happens there."),
            new Next("colour", "Colour", "mix what is painted."),
            new Next("order", "Order", "see the morning, step by step."),
            new Next("bench", "Bench", "what is made on the days before."),
            new Next("kit", "Kit", "what to buy and what to pack."),
            new Next("safety", "Safety", "tests, signatures and what has to be asked."),
            new Next("chair", "Chair", "run it, step by step."),
            new Next("strike", "Strike", "how all of it comes off."),
            new Next("book", "Book", "what happened, for the next day."));

    /** The room after this one; none after the last, and none after one that is not on the way. */
    static Optional<Next> after(String room) {
        for (int i = 0; i < WAY.size() - 1; i++) {
            if (WAY.get(i).room.equals(room)) {
                return Optional.of(WAY.get(i + 1));
            }
        }
        return Optional.empty();
    }
}
