package app.kemdro.core.schedule;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which tasks may not slip, in a schedule whose order and hands are kept: slack is how many seconds later a task could
 * end without making anything ready later.
 */
public final class Critical {
    private Critical() {}

    /** Slack of every task in seconds, 0 or more. */
    public static Map<String, Integer> slack(TaskNetwork network, Schedule schedule) {
        Map<String, Integer> latestEnd = new HashMap<>();
        List<ScheduledTask> order = schedule.placed();
        Map<String, Task> tasks = network.byId();
        Map<String, ScheduledTask> at = new HashMap<>();
        order.forEach(p -> at.put(p.task(), p));
        Map<String, List<Lag>> after =
                network.lags().stream().filter(l -> at.containsKey(l.to())).collect(Collectors.groupingBy(Lag::from));
        for (int k = order.size() - 1; k >= 0; k--) {
            ScheduledTask p = order.get(k);
            List<Lag> next = after.getOrDefault(p.task(), List.of());
            boolean workedInto = next.stream().anyMatch(Lag::into);
            int latest = schedule.ready() - (workedInto ? 0 : p.settled() - p.end());
            for (Lag lag : next) {
                if (latestEnd.containsKey(lag.to())) {
                    int start = latestStart(at.get(lag.to()), latestEnd);
                    latest = Math.min(latest, start - (lag.opens(p) - p.end()));
                }
            }
            for (int j = k + 1; j < order.size(); j++) {
                ScheduledTask q = order.get(j);
                boolean zone = tasks.get(p.task()).sharesZone(tasks.get(q.task()));
                if (p.sharesHands(q) || zone || tasks.get(p.task()).otherPosture(tasks.get(q.task()))) {
                    int settle = zone && q.start() >= p.settled() ? p.settled() - p.end() : 0;
                    latest = Math.min(latest, latestStart(q, latestEnd) - settle);
                }
            }
            for (Rest rest : schedule.rests()) {
                if (p.end() <= rest.start()) {
                    latest = Math.min(latest, Math.max(rest.start(), p.end()));
                }
            }
            int length = p.end() - p.start();
            for (Pin pin : network.pins()) {
                if (pin.task().equals(p.task()) && pin.until() < Task.Mode.NEVER) {
                    latest = Math.min(latest, pin.until() + length);
                }
            }
            latestEnd.put(p.task(), Math.max(latest, p.end()));
        }
        Map<String, Integer> slack = new HashMap<>();
        order.forEach(p -> slack.put(p.task(), latestEnd.get(p.task()) - p.end()));
        return slack;
    }

    /** Tasks with less than half a minute of slack, by start. */
    public static Set<String> tasks(TaskNetwork network, Schedule schedule) {
        Map<String, Integer> slack = slack(network, schedule);
        Set<String> critical = new LinkedHashSet<>();
        schedule.placed().stream()
                .map(ScheduledTask::task)
                .filter(t -> slack.get(t) < 30)
                .forEach(critical::add);
        return critical;
    }

    private static int latestStart(ScheduledTask p, Map<String, Integer> latestEnd) {
        return latestEnd.get(p.task()) - (p.end() - p.start());
    }
}
