package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Task.Mode;

/**
 * The longest step, in seconds, of which all times of a network are multiples: a solver counts in such steps, and nothing is
 * rounded. Where everything is said in whole minutes, it is a minute. As soon as can be everything begins and is ready at such steps.
 *
 * @param step seconds, at least 1
 */
public record Grid(int step) {
    /** The grid of a network. */
    public static Grid of(TaskNetwork network) {
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
    public int steps(int seconds) {
        return seconds / step;
    }

    /** Steps that are over by this second. */
    public int within(int seconds) {
        return Math.floorDiv(seconds, step);
    }

    /** Steps that reach this second. */
    public int reaching(int seconds) {
        return -Math.floorDiv(-seconds, step);
    }

    /** Seconds of so many steps. */
    public int seconds(long steps) {
        return (int) (steps * step);
    }
}
