package app.kemdro.web.records.shelf;

import app.kemdro.web.records.shelf.Way.Mark;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.springframework.util.StringUtils;

/**
 * What stands in the way of a job in one room.
 *
 * @param part the part of the work the room belongs to; empty where the room before belongs to it too
 * @param room its name in addresses
 * @param mark of the worst
 * @param says the worst in a few words
 * @param which the worst in whole, and how many more there are
 */
public record InRoom(String part, String room, Mark mark, String says, String which) {
    /** The rooms of a job in the order of the work, by its parts. */
    private enum Part {
        DESIGN("brief", "look", "colour"),
        PREPARE("order", "bench", "kit", "safety"),
        DO("chair", "strike", "floor"),
        KEEP("book");

        private final List<String> rooms;

        Part(String... rooms) {
            this.rooms = List.of(rooms);
        }
    }

    /** Room by room, in the order of the work. */
    static List<InRoom> of(List<Way> all) {
        return Arrays.stream(Part.values())
                .flatMap(p -> {
                    List<String> rooms = p.rooms.stream()
                            .filter(r -> all.stream().anyMatch(w -> w.room().equals(r)))
                            .toList();
                    return rooms.stream().map(r -> of(p, r, all, r.equals(rooms.get(0))));
                })
                .toList();
    }

    private static InRoom of(Part part, String room, List<Way> all, boolean first) {
        List<Way> here = all.stream()
                .filter(w -> w.room().equals(room))
                .sorted(Comparator.comparing(Way::mark))
                .toList();
        Way worst = here.get(0);
        long alike = here.stream().filter(w -> w.mark() == worst.mark()).count();
        String says = !worst.brief().isEmpty()
                ? worst.brief()
                : worst.stops() && part == Part.PREPARE
                        ? "no plan"
                        : alike + (worst.stops() ? " will fail" : " to see to");
        String more = here.size() == 1 ? "" : " And " + (here.size() - 1) + " more.";
        return new InRoom(
                first ? part.name().toLowerCase(Locale.ROOT) : "",
                room,
                worst.mark(),
                says,
                worst.what() + " " + worst.remedy() + more);
    }

    /** Of what only has to be seen to, how many there are; for where there is no room for words. */
    public String figure() {
        return mark == Mark.NEEDS ? says.replaceAll("\\D.*", "") : says;
    }

    /** The name of the room as it stands in the header. */
    public String name() {
        return StringUtils.capitalize(room);
    }

    /** The class of its mark. */
    public String style() {
        return switch (mark) {
            case FAILS -> "fail";
            case LATE -> "late";
            case NEEDS -> "need";
        };
    }
}
