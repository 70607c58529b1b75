package app.kemdro.web.records.plan;

import app.kemdro.web.parts.ahead.Ahead;

/** A change was only asked ahead, and this is what it would bring. */
public final class Supposed extends Ahead.Enough {
    private static final long serialVersionUID = 1L;

    private final transient Plans.Changed would;

    Supposed(Plans.Changed would) {
        this.would = would;
    }

    /** The job as it would be, and what would be said of the change. */
    public Plans.Changed would() {
        return would;
    }
}
