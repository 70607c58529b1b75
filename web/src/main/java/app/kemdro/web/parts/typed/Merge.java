package app.kemdro.web.parts.typed;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A form as one typed it over what another has changed since it was opened.
 *
 * @param fields both changes; where both changed the same, what was typed
 * @param clashes fields that both changed, to something else
 * @param others fields that only the other changed
 */
record Merge(Map<String, List<String>> fields, List<String> clashes, List<String> others) {

    /**
     * Lays both changes together. Rows of a table ({@code crew[0].name}) are taken as one: half of one's and half of the other's would be
     * nobody's.
     *
     * @param was as it was opened
     * @param typed as it was sent
     * @param now as it stands
     * @param sets fields of which any number is chosen
     */
    static Merge of(
            Map<String, List<String>> was,
            Map<String, List<String>> typed,
            Map<String, List<String>> now,
            Set<String> sets) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        List<String> clashes = new ArrayList<>();
        List<String> others = new ArrayList<>();
        Set<String> groups = new LinkedHashSet<>();
        Stream.of(was, typed, now)
                .flatMap(m -> m.keySet().stream())
                .map(Merge::group)
                .forEach(groups::add);
        for (String group : groups) {
            Map<String, List<String>> then = part(was, group);
            Map<String, List<String>> mine = part(typed, group);
            Map<String, List<String>> theirs = part(now, group);
            boolean iChanged = !mine.equals(then);
            boolean theyChanged = !theirs.equals(then);
            if (sets.contains(group)) {
                fields.put(group, both(values(was, group), values(typed, group), values(now, group)));
            } else {
                // as it is, blanks and all: a field that was emptied is not one that was never there
                (iChanged ? typed : now).forEach((field, values) -> {
                    if (group(field).equals(group)) {
                        fields.put(field, values);
                    }
                });
                if (iChanged && theyChanged && !mine.equals(theirs)) {
                    clashes.add(group);
                }
            }
            if (theyChanged && !iChanged) {
                others.add(group);
            }
        }
        return new Merge(fields, clashes, others);
    }

    /** The name before the bracket. */
    static String group(String field) {
        int bracket = field.indexOf('[');
        return bracket < 0 ? field : field.substring(0, bracket);
    }

    /** The fields of a group that say anything; an empty field and one that is not there are the same. */
    static Map<String, List<String>> part(Map<String, List<String>> fields, String group) {
        Map<String, List<String>> part = new TreeMap<>();
        fields.forEach((field, values) -> {
            List<String> said = values.stream()
                    .map(String::strip)
                    .filter(v -> !v.isEmpty())
                    .sorted()
                    .toList();
            if (group(field).equals(group) && !said.isEmpty()) {
                part.put(field, said);
            }
        });
        return part;
    }

    private static List<String> values(Map<String, List<String>> fields, String field) {
        return fields.getOrDefault(field, List.of());
    }

    private static List<String> both(List<String> was, List<String> typed, List<String> now) {
        Set<String> all = new LinkedHashSet<>(now);
        typed.stream().filter(v -> !was.contains(v)).forEach(all::add);
        was.stream().filter(v -> !typed.contains(v)).forEach(all::remove);
        return List.copyOf(all);
    }
}
