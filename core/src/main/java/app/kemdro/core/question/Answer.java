package app.kemdro.core.question;

import java.util.List;

/**
 * What is true of an order.
 *
 * @param faults what is not as it should be, the worst first; none means yes
 */
public record Answer(Question question, List<Fault> faults) {
    public Answer {
        faults = List.copyOf(faults);
    }

    /** Whether it is as it should be. */
    public boolean yes() {
        return faults.isEmpty();
    }

    /**
     * Something that is not as it should be.
     *
     * @param says what it is, with how much of it there is
     * @param steps steps of the order that it is about
     * @param much how bad it is, in seconds, or in times or multiples
     */
    public record Fault(String says, List<String> steps, double much) {
        public Fault {
            steps = List.copyOf(steps);
        }
    }
}
