package app.kemdro.web.records.finding;

import java.util.List;

/** What was found in one job. */
public record Found(long job, String title, String performer, List<Line> lines) {

    /**
     * A line that holds what was looked for.
     *
     * @param where what it is, or when it was said and by whom
     * @param at the job's page on which it stands
     */
    public record Line(String where, String text, String at) {}
}
