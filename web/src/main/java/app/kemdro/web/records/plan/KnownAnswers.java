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
    private static final int LATELY = 20;

    private final Cache<Version, Answer> byVersion =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<Basis, Answer> byBasis =
            Caffeine.newBuilder().maximumSize(LATELY).build();
    private final Cache<Long, Made> last =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Function<Answer, String> written;

    /** Takes how the order of an answer is written down, empty where there is none. */
    KnownAnswers(Function<Answer, String> written) {
        this.written = written;
    }

    private record Version(long job, String version) {}

    /** All of a job that an answer is made from. */
    private record Basis(Look look, Brief brief, String order, String proof) {
        static Basis of(Job job) {
            return new Basis(
                    job.look(), job.brief(), job.kept().order(), job.kept().orderProof());
        }

        /** Whether no more than the order in mind differs. */
        boolean isLike(Basis other) {
            return look.equals(other.look) && brief.equals(other.brief) && proof.equals(other.proof);
        }
    }

    /** An answer and what it was made from. */
    private record Made(Basis basis, Answer answer) {}

    /** The answer for this version of a job, if it is there. */
    @Nullable
    Answer of(Job job) {
        return byVersion.getIfPresent(version(job));
    }

    /** The answer for this version of a job, made now where nothing like it is there. */
    Answer of(Job job, Function<Job, Answer> make) {
        return byVersion.get(version(job), v -> {
            Basis basis = Basis.of(job);
            Made before = last.getIfPresent(job.id());
            if (before != null
                    && before.basis.isLike(basis)
                    && (before.basis.order.equals(basis.order)
                            || written.apply(before.answer).equals(basis.order))) {
                return before.answer;
            }
            Answer made = ahead(job, make);
            last.put(job.id(), new Made(basis, made));
            return made;
        });
    }

    /**
     * The answer for a job as it is not yet, and may never be. Whoever asks for the same while it is being made waits for it, and whoever
     * does soon afterwards finds it.
     */
    Answer ahead(Job job, Function<Job, Answer> make) {
        return byBasis.get(Basis.of(job), b -> make.apply(job));
    }

    private static Version version(Job job) {
        return new Version(job.id(), job.version());
    }
}
