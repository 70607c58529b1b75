package app.kemdro.web.records.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;

/** What follows from a report is done, however often it fails; and the report is stored whatever follows. */
@DemoTest
class OutboxTest {
    /** Follows notes, and fails for as long as it is told to. */
    static final class Stumbling implements Follower {
        private final List<String> followed = new ArrayList<>();
        private int failures;

        @Override
        public String name() {
            return "stumbling";
        }

        @Override
        public boolean follows(RunEvent event, Run run) {
            return event instanceof RunEvent.Note;
        }

        @Override
        public void follow(RunNow now, String press) {
            if (failures-- > 0) {
                throw new IllegalStateException("It stumbles");
            }
            followed.add(press);
        }
    }

    @TestConfiguration
    static class Follows {
        @Bean
        Stumbling stumbling() {
            return new Stumbling();
        }
    }

    @Autowired
    private Stumbling stumbling;

    @Autowired
    private Outbox outbox;

    @Autowired
    private Reports reports;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private Standings standings;

    @Autowired
    private Jobs jobs;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private TestClock clock;

    private Job job;
    private Run run;

    @BeforeEach
    void seat() {
        outbox.destroy(); // nothing is looked through but when the test says so
        job = DemoJobs.like("Sprue", "followed", jobs);
        run = seats.begin(job.id(), "ines");
        stumbling.followed.clear();
        stumbling.failures = 0;
        outbox.tidy();
        database.update("delete from follow_up");
    }

    @AfterEach
    void rise() {
        reports.end(run, "end-" + run.id(), "ines");
    }

    private RunNow note(String id) {
        return reports.take(job.id(), new RunEvent.Note(new Stamp(id, runs.now(run), "Pell"), "seen"), "ines");
    }

    private int open() {
        outbox.tidy();
        return database.queryForObject("select count(*) from follow_up where follower = 'stumbling'", Integer.class);
    }

    @Test
    void whatFollowsIsDoneAtOnceAndOnce() {
        note("note-00001");
        note("note-00001");
        assertThat(stumbling.followed).containsExactly("note-00001");
        assertThat(open()).isZero();
        clock.pass(Duration.ofMinutes(1));
        outbox.again();
        assertThat(stumbling.followed).hasSize(1);
    }

    @Test
    void whatFailsIsTriedAgainLaterAndLater() {
        stumbling.failures = 2;
        RunNow now = note("note-00002");
        assertThat(now.happened()).as("the report is stored").anyMatch(e -> e.id().equals("note-00002"));
        assertThat(standings.of(run).happened()).anyMatch(e -> e.id().equals("note-00002"));
        assertThat(stumbling.followed).isEmpty();
        assertThat(open()).isEqualTo(1);
        outbox.again();
        assertThat(stumbling.failures).as("not before it is due").isEqualTo(1);
        clock.pass(Duration.ofSeconds(11));
        outbox.again();
        assertThat(stumbling.failures).isZero();
        assertThat(stumbling.followed).isEmpty();
        clock.pass(Duration.ofSeconds(11));
        outbox.again();
        assertThat(stumbling.followed).as("the second time it is later").isEmpty();
        clock.pass(Duration.ofSeconds(10));
        outbox.again();
        assertThat(stumbling.followed).containsExactly("note-00002");
        assertThat(open()).isZero();
    }

    /** As it is found after a restart: written down, and nobody has done it. */
    @Test
    void whatWasLeftOverIsDone() {
        database.update(
                "insert into follow_up (run_id, press, follower, tries, due_at) values (?, 'note-00003', 'stumbling', 0, ?)",
                run.id(),
                LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC).minusSeconds(1));
        outbox.again();
        assertThat(stumbling.followed).containsExactly("note-00003");
        assertThat(open()).isZero();
    }

    /** The data's own rule, whoever forgets to ask. */
    @Test
    void aJobHasOneRunThatIsOn() {
        assertThatThrownBy(() -> database.update(
                        "insert into run (job_id, began_at, call_at, look, brief, planned, standing, pace, trouble)"
                                + " select job_id, began_at, call_at, look, brief, planned, standing, pace, trouble"
                                + " from run where id = ?",
                        run.id()))
                .isInstanceOf(DataIntegrityViolationException.class)
                .hasMessageContaining("ONE_OPEN_RUN");
    }

    @Test
    void anEventIsStoredOnceWhateverIsAsked() {
        note("note-00004");
        assertThatThrownBy(() -> database.update(
                        "insert into run_event (run_id, event_id, at_time, hands, kind, version, fields, by_account, device)"
                                + " select run_id, event_id, at_time, hands, kind, version, fields, by_account, device"
                                + " from run_event where event_id = 'note-00004'"))
                .isInstanceOf(DataIntegrityViolationException.class);
    }
}
