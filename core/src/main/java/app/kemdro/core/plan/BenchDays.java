package app.kemdro.core.plan;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Bench work laid backwards over working hours, so that each thing has dried when it is needed.
 *
 * @param slots in order of time; work that does not fit into one day goes on in the next slot
 * @param begins when the first of it must begin; empty lists have none
 * @param tooLate whether that moment is past already
 */
public record BenchDays(List<Slot> slots, LocalDateTime begins, boolean tooLate) {
    private static final int STEP = 5;

    public BenchDays {
        slots = List.copyOf(slots);
    }

    /**
     * A stretch of bench work in one day.
     *
     * @param hands which pair of hands does it, counted from 0
     */
    public record Slot(BenchWork work, int hands, LocalDateTime from, LocalDateTime until, LocalDateTime rested) {}

    /**
     * When the bench is worked at.
     *
     * @param hands pairs of hands, 1 to {@link #MOST_HANDS}
     * @param off days of the week on which nobody works; never all of them
     */
    public record Hours(LocalTime from, LocalTime until, int hands, Set<DayOfWeek> off) {
        public static final int MOST_HANDS = 4;
        /** One pair of hands, nine to five on every day (a house default). */
        public static final Hours USUAL = new Hours(LocalTime.of(9, 0), LocalTime.of(17, 0), 1, Set.of());

        public Hours {
            off = Set.copyOf(off);
            if (Duration.between(from, until).toMinutes() < 60) {
                throw new IllegalArgumentException("The bench is worked at for an hour a day at least.");
            }
            if (hands < 1 || hands > MOST_HANDS) {
                throw new IllegalArgumentException("The bench takes 1 to " + MOST_HANDS + " pairs of hands.");
            }
            if (off.size() == DayOfWeek.values().length) {
                throw new IllegalArgumentException("Somebody works at the bench on one day of the week at least.");
            }
        }
    }

    /** Lays the work backwards from the moment at which all must be ready. */
    public static BenchDays of(List<BenchWork> work, LocalDateTime needed, Hours hours, LocalDateTime now) {
        Map<String, List<BenchWork>> chains = new LinkedHashMap<>();
        work.forEach(
                w -> chains.computeIfAbsent(w.entry(), k -> new ArrayList<>()).add(w));
        List<Slot> taken = new ArrayList<>();
        chains.values().stream()
                .sorted(Comparator.comparingDouble(BenchDays::length).reversed())
                .forEach(chain -> lay(chain, needed, hours, taken));
        taken.sort(Comparator.comparing(Slot::from));
        LocalDateTime begins = taken.isEmpty() ? needed : taken.get(0).from();
        return new BenchDays(taken, begins, begins.isBefore(now));
    }

    private static double length(List<BenchWork> chain) {
        return chain.stream()
                .mapToDouble(w -> w.minutes() + w.restsHours() * 60)
                .sum();
    }

    /** From the last step to the first: hands end early enough for what must rest before the next. */
    private static void lay(List<BenchWork> chain, LocalDateTime needed, Hours hours, List<Slot> taken) {
        LocalDateTime next = needed;
        for (int k = chain.size() - 1; k >= 0; k--) {
            BenchWork work = chain.get(k);
            LocalDateTime rested = next;
            LocalDateTime end = next.minusMinutes(Math.round(work.restsHours() * 60));
            long left = Math.max(STEP, (long) Math.ceil(work.minutes() / STEP) * STEP);
            while (left > 0) {
                Stretch free = freeBefore(end, hours, taken);
                long length = Math.min(left, free.minutes());
                LocalDateTime from = free.until().minusMinutes(length);
                taken.add(new Slot(work, free.hands(), from, free.until(), rested));
                left -= length;
                end = from;
            }
            next = end;
        }
    }

    private record Stretch(int hands, LocalDateTime from, LocalDateTime until) {
        long minutes() {
            return Duration.between(from, until).toMinutes();
        }
    }

    /** The latest stretch of free working time that ends by this moment, within one day, of whoever is free longest then. */
    private static Stretch freeBefore(LocalDateTime end, Hours hours, List<Slot> taken) {
        return IntStream.range(0, hours.hands())
                .mapToObj(k -> freeBefore(
                        end,
                        hours,
                        k,
                        taken.stream().filter(s -> s.hands() == k).toList()))
                .max(Comparator.comparing(Stretch::until).thenComparing(Stretch::minutes))
                .orElseThrow();
    }

    private static Stretch freeBefore(LocalDateTime end, Hours hours, int hands, List<Slot> taken) {
        LocalDate day = end.toLocalDate();
        LocalDateTime until = end;
        while (true) {
            LocalDateTime opens = day.atTime(hours.from());
            LocalDateTime closes = day.atTime(hours.until());
            LocalDateTime latest = until.isBefore(closes) ? until : closes;
            while (!hours.off().contains(day.getDayOfWeek())
                    && latest.minusMinutes(STEP).compareTo(opens) >= 0) {
                LocalDateTime at = latest;
                Slot in = taken.stream()
                        .filter(s -> s.from().isBefore(at) && !s.until().isBefore(at))
                        .findFirst()
                        .orElse(null);
                if (in != null) {
                    latest = in.from();
                    continue;
                }
                LocalDateTime from = taken.stream()
                        .map(Slot::until)
                        .filter(u -> !u.isAfter(at) && u.isAfter(opens))
                        .max(Comparator.naturalOrder())
                        .orElse(opens);
                if (Duration.between(from, latest).toMinutes() >= STEP) {
                    return new Stretch(hands, from, latest);
                }
                latest = from.minusMinutes(1);
            }
            day = day.minusDays(1);
            until = day.atTime(hours.until());
        }
    }
}
