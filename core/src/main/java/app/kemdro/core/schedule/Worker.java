package app.kemdro.core.schedule;

import java.util.List;

/**
 * One pair of hands.
 *
 * @param lead whether it may be given what only a lead does
 * @param pace multiple of the standard time it takes, above 0
 * @param from second at which it arrives
 * @param until second at which it goes
 */
public record Worker(String id, boolean lead, double pace, int from, int until) {
    /** How long these hands work at a task in one of its ways, without the tool. */
    public int seconds(Task task, Task.Mode mode) {
        return (int) Math.round(task.work() * (mode.helped() ? mode.together() : 1) * pace);
    }

    /** How long the slowest of these hands, or usual ones, work at a task alone. */
    static int slowest(List<Worker> hands, Task task) {
        int most = task.work();
        for (Worker w : hands) {
            most = Math.max(most, w.seconds(task, task.modes().get(0)));
        }
        return most;
    }

    boolean can(Task task) {
        return task.needs() != Task.Needs.LEAD || lead;
    }
}
