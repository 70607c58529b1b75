package app.kemdro.core.method;

import java.util.List;

/**
 * Hands of somebody who works on themselves, as tools.
 *
 * @param states what they may have on them
 * @param slower how many times as long it takes with the hand that one does not write with
 * @param both what takes both of them at once
 */
public record OwnHands(List<FingerState> states, double slower, Rule.Pick both) {
    public OwnHands {
        states = List.copyOf(states);
    }
}
