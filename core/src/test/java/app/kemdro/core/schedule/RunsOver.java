package app.kemdro.core.schedule;

/** Steps that take longer than was planned. */
public final class RunsOver {
    private RunsOver() {}

    /** The same step so many seconds longer, with all that follows from its end. */
    public static ScheduledTask by(int seconds, ScheduledTask p) {
        int closes = p.closes() >= Task.Mode.NEVER ? Task.Mode.NEVER : p.closes() + seconds;
        return new ScheduledTask(
                p.task(),
                p.worker(),
                p.helper(),
                p.mode(),
                p.start(),
                p.end() + seconds,
                p.usable() + seconds,
                closes,
                p.settled() + seconds,
                p.missed());
    }
}
