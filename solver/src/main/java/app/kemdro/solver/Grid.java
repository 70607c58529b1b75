package app.kemdro.solver;

import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;

/**
 * The longest step, in seconds, of which all times of a network are multiples: a solver counts in such steps, and nothing is
 * rounded. Where everything is said in whole minutes, it is a minute.
 */
record Grid(int step) {
    static Grid of(TaskNetwork network) {
        long step = 0;
        for (Task task : network.tasks()) {
            for (Mode mode : task.modes()) {
                step = gcd(step, mode.tool());
                step = gcd(step, mode.usable());
                step = gcd(step, mode.settled());
                step = gcd(step, mode.closes() >= Mode.NEVER ? 0 : mode.closes());
                step = task.needs() == Task.Needs.NOBODY ? gcd(step, task.work()) : step;
                for (Worker worker : network.workers()) {
                    step = gcd(step, worker.seconds(task, mode));
                }
            }
        }
        for (Lag lag : network.lags()) {
            step = gcd(step, lag.within() == null ? 0 : lag.within());
        }
        for (Pin pin : network.pins()) {
            step = gcd(step, pin.from());
            step = gcd(step, pin.until() >= Mode.NEVER ? 0 : pin.until());
        }
        for (Worker worker : network.workers()) {
            step = gcd(step, Math.max(0, worker.from()));
            step = gcd(step, worker.until() >= Mode.NEVER ? 0 : worker.until());
        }
        step = gcd(step, network.breaks().every());
        step = gcd(step, network.breaks().length());
        step = gcd(step, network.breaks().meal());
        return new Grid((int) Math.max(1, step));
    }

    private static long gcd(long a, long b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** Steps in so many seconds, which are a multiple of a step. */
    int steps(int seconds) {
        return seconds / step;
    }

    /** Steps that are over by this second. */
    int within(int seconds) {
        return Math.floorDiv(seconds, step);
    }

    /** Steps that reach this second. */
    int reaching(int seconds) {
        return -Math.floorDiv(-seconds, step);
    }

    int seconds(long steps) {
        return (int) (steps * step);
    }
}
