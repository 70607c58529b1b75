package app.kemdro.web.records.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans.Answer;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Answers that were computed, by the version of a job. A version in which nothing has changed that a plan depends on, as another
 * title or a recipe, has the answer of the one before.
 */
final class KnownAnswers {
    private static final int REMEMBERED = 60;

    private final Cache<Version, Answer> byVersion =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<Long, Made> last =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Function<Answer, String> written;

    /** Takes how the order of an answer is written down, empty where there is none. */
    KnownAnswers(Function<Answer, String> written) {
        this.written = written;
    }

    private record Version(long job, String version) {}

    /** An answer and what it was made from. */
    private record Made(Look look, Brief brief, String order, String proof, Answer answer) {}

    /** The answer for this version of a job, if it is there. */
    @Nullable
    Answer of(Job job) {
        return byVersion.getIfPresent(version(job));
    }

    /** The answer for this version of a job, made now where nothing like it is there. */
    Answer of(Job job, Function<Job, Answer> make) {
        return byVersion.get(version(job), v -> {
            Look look = job.look();
            Brief brief = job.brief();
            String order = job.kept().order();
            String proof = job.kept().orderProof();
            Made before = last.getIfPresent(job.id());
            if (before != null
                    && before.look.equals(look)
                    && before.brief.equals(brief)
                    && before.proof.equals(proof)
                    && (before.order.equals(order)
                            || written.apply(before.answer).equals(order))) {
                return before.answer;
            }
            Answer made = make.apply(job);
            last.put(job.id(), new Made(look, brief, order, proof, made));
            return made;
        });
    }

    private static Version version(Job job) {
        return new Version(job.id(), job.version());
    }
}
