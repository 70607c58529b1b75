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
import org.springframework.stereotype.Component;

/** Bench work that should have begun, or begins within a day. */
@Component
class BenchOverdue implements InTheWay {
    private final Trade trade;
    private final Clock clock;

    BenchOverdue(Trade trade, Clock clock) {
        this.trade = trade;
        this.clock = clock;
    }

    @Override
    public List<Problem> of(Job job, Plan plan) {
        LocalDateTime now = LocalDateTime.now(clock);
        BenchDays days = BenchDays.of(job.benchWork(trade), plan.chairIn(), job.benchHours(), now);
        if (days.slots().isEmpty()) {
            return List.of();
        }
        String begins = Words.day(days.begins()) + ", " + Words.hour(days.begins());
        if (days.tooLate()) {
            return List.of(Problem.obstacle(
                    true,
                    "Bench: it should have begun " + begins + ".",
                    "Make less, take more hands, or move the chair: Bench says what.",
                    List.of()));
        }
        return days.begins().isBefore(now.plusDays(1))
                ? List.of(Problem.obstacle(
                        false, "Bench: begin " + begins + ".", "What is made stands in Bench.", List.of()))
                : List.of();
    }
}
