package app.kemdro.web.records.run;

import org.jspecify.annotations.Nullable;

/**
 * What events are of: a run, or a strike.
 *
 * @param run its number, none where it is a strike
 * @param strike its number, none where it is a run
 */
public record Course(@Nullable Long run, @Nullable Long strike) {
    public static Course ofRun(long run) {
        return new Course(run, null);
    }

    public static Course ofStrike(long strike) {
        return new Course(null, strike);
    }
}
