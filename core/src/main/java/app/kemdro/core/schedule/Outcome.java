package app.kemdro.core.schedule;

import java.util.List;

/** What planning came to. */
public sealed interface Outcome {

    /** A sound schedule. */
    record Planned(Schedule schedule) implements Outcome {}

    /** Tasks that wait for one another in a ring. */
    record Ring(List<String> tasks) implements Outcome {}

    /** A task for which no hands are there at the time it would need them. */
    record NoHands(String task) implements Outcome {}

    /** A task whose window cannot be met by anybody. */
    record NoWindow(String task) implements Outcome {}

    /** A pinned task that was not found to begin by the second it is wished to, and by how many seconds it is late. */
    record TooLate(String task, int seconds) implements Outcome {}
}
