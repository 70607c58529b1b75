package app.kemdro.web.records.plan;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Bench work that should have begun, or begins within a day. */
@Component
class BenchOverdue implements InTheWay {
    /** Times are kept to the microsecond. */
    private static final int KEPT_TO = 1000;

    private final Trade trade;
    private final Clock clock;

    BenchOverdue(Trade trade, Clock clock) {
        this.trade = trade;
        this.clock = clock;
    }

    @Override
    public String room() {
        return "bench";
    }

    @Override
    public Said of(Job job, Plan plan) {
        LocalDateTime now = LocalDateTime.now(clock);
        BenchDays days = BenchDays.of(job.benchWork(trade), plan.chairIn(), job.benchHours(), now);
        if (days.slots().isEmpty()) {
            return Said.always(List.of());
        }
        String begins = Words.day(days.begins()) + ", " + Words.hour(days.begins());
        if (days.tooLate()) {
            return Said.always(List.of(new Line(
                    Problem.obstacle(
                            true,
                            "It should have begun " + begins + ".",
                            "Make less, take more hands, or move the chair: Bench says what.",
                            List.of()),
                    "should have begun",
                    true)));
        }
        LocalDateTime soon = days.begins().minusDays(1);
        return soon.isBefore(now)
                ? new Said(
                        List.of(new Line(
                                Problem.obstacle(
                                        false, "Begin " + begins + ".", "What is made stands in Bench.", List.of()),
                                "begin " + Words.hour(days.begins()))),
                        Optional.of(just(days.begins())))
                : new Said(List.of(), Optional.of(just(soon)));
    }

    /** The first moment after this one. */
    private static LocalDateTime just(LocalDateTime at) {
        return at.plusNanos(KEPT_TO);
    }
}
