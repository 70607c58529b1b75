package app.kemdro.core.schedule;

/**
 * One pair of hands.
 *
 * @param lead whether it may be given what only a lead does
 * @param pace multiple of the standard time it takes, above 0
 * @param from second at which it arrives
 * @param until second at which it goes
 */
public record Worker(String id, boolean lead, double pace, int from, int until) {
    int seconds(Task task) {
        return (int) Math.round(task.work() * pace);
    }

    boolean can(Task task) {
        return task.needs() != Task.Needs.LEAD || lead;
    }
}
