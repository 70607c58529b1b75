package app.kemdro.web.rooms.bench;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.plan.BenchDays;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.records.job.Job;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Date;
import java.util.Optional;
import java.util.function.Function;

/** Days as iCalendar (RFC 5545); times are local, without a zone, as they are said in the room. */
final class Calendars {
    private static final int LINE = 75;

    private Calendars() {}

    /** Bench days, the chair, the call, and when it comes off: as late as it must last. */
    static String write(Job job, Optional<Plan> plan, BenchDays days, Function<Plan, Duration> strike) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Kemdro//days//EN");
        TimezoneInfo zones = new TimezoneInfo();
        zones.setGlobalFloatingTime(true);
        calendar.setTimezoneInfo(zones);
        int number = 0;
        for (BenchDays.Slot slot : days.slots()) {
            event(
                    calendar,
                    job,
                    "bench-" + number++,
                    "Bench: " + slot.work().name(),
                    slot.work().forWhat(),
                    slot.from(),
                    slot.until());
        }
        plan.ifPresent(
                p -> event(calendar, job, "chair", "Chair: " + job.title(), job.production(), p.chairIn(), p.ready()));
        LocalDateTime call = job.brief().call();
        event(calendar, job, "call", "Call: " + job.title(), job.production(), call, call.plusMinutes(15));
        plan.ifPresent(p -> {
            LocalDateTime over = call.plusHours(job.brief().purpose().lastsHours());
            event(
                    calendar,
                    job,
                    "strike",
                    "Comes off: " + job.title(),
                    job.production(),
                    over,
                    over.plus(strike.apply(p)));
        });
        return folded(Biweekly.write(calendar).go());
    }

    /** Lines of no more than 75 octets, as RFC 5545 (section 3.1) has them; a letter is never cut in two. */
    static String folded(String text) {
        StringBuilder out = new StringBuilder();
        for (String line : text.replace("\r\n ", "").replace("\r\n\t", "").split("\r\n")) {
            int octets = 0;
            for (int at = 0; at < line.length(); ) {
                String letter = new String(Character.toChars(line.codePointAt(at)));
                int width = letter.getBytes(StandardCharsets.UTF_8).length;
                if (octets + width > LINE) {
                    out.append("\r\n ");
                    octets = 1;
                }
                out.append(letter);
                octets += width;
                at += letter.length();
            }
            out.append("\r\n");
        }
        return out.toString();
    }

    private static void event(
            ICalendar calendar,
            Job job,
            String id,
            String title,
            String words,
            LocalDateTime from,
            LocalDateTime until) {
        VEvent event = new VEvent();
        event.setUid("job-" + job.id() + "-" + id + "@kemdro");
        event.setSummary(title);
        event.setDescription(words);
        event.setDateStart(date(from));
        event.setDateEnd(date(until));
        calendar.addEvent(event);
    }

    private static Date date(LocalDateTime time) {
        return Date.from(Wall.instant(time));
    }
}
