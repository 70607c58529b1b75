package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief.Room;
import java.util.List;
import java.util.function.BiFunction;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What lifts the fields of an event from one version of the form to the next. One function a step, never edited once it has
 * landed: events of every age are read through all that came since.
 */
final class EventUpcasts {
    /** By the version they start from, the first of which is 1. */
    private static final List<BiFunction<String, ObjectNode, ObjectNode>> STEPS = List.of(EventUpcasts::fromOne);

    private EventUpcasts() {}

    /** The fields of an event of this kind in today's form. */
    static ObjectNode lift(String kind, int version, ObjectNode fields) {
        ObjectNode lifted = fields;
        for (int from = Math.max(1, version); from <= STEPS.size(); from++) {
            lifted = STEPS.get(from - 1).apply(kind, lifted);
        }
        return lifted;
    }

    /**
     * In the first form every kind had the same four fields, step, seconds, mode and text, and each kind had its own way with
     * them: seconds were coats as well, and the text a reason, a school, a repair with its zones, a room, a skill or a device.
     */
    private static ObjectNode fromOne(String kind, ObjectNode old) {
        String step = old.path("step").asString("");
        String text = old.path("text").asString("");
        int seconds = old.path("seconds").asInt(0);
        ObjectNode now = old.objectNode();
        switch (kind) {
            case "START" ->
                now.put("step", step).put("mode", old.path("mode").asInt(0)).put("sure", text.equals("sure"));
            case "NOT_YET", "ADD" -> now.put("step", step).put("seconds", seconds);
            case "SKIP" -> now.put("step", step).put("text", text);
            case "TROUBLE" -> trouble(now.put("step", step), text);
            case "SCHOOL" -> now.put("entry", step).put("technique", text);
            case "COATS" -> now.put("entry", step).put("coats", seconds);
            case "DROP" -> now.put("entry", step).put("reason", text);
            case "AWAY" -> now.put("seconds", seconds);
            case "JOIN" -> now.put("skill", text);
            case "ROOM" -> room(now, text);
            case "DRIVE" -> now.put("driver", text);
            case "PICTURE" -> now.put("picture", text);
            case "UNDO" -> now.put("event", text);
            default -> now.put("step", step).put("text", text);
        }
        return now;
    }

    /** A repair, and behind a sign the zones where it is not everywhere. */
    private static void trouble(ObjectNode now, String text) {
        int at = text.indexOf('@');
        now.put("repair", at < 0 ? text : text.substring(0, at));
        ArrayNode zones = now.putArray("zones");
        if (at >= 0) {
            List.of(text.substring(at + 1).split(",")).forEach(zones::add);
        }
    }

    /** Temperature, humidity and dryers; one that cannot be read is left out, and refused by whoever reads on. */
    private static void room(ObjectNode now, String text) {
        String[] part = text.split(";");
        try {
            Room room = new Room(Double.parseDouble(part[0]), Double.parseDouble(part[1]), Integer.parseInt(part[2]));
            now.putObject("room")
                    .put("temperatureC", room.temperatureC())
                    .put("humidityPercent", room.humidityPercent())
                    .put("dryers", room.dryers());
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException unreadable) {
            now.putNull("room");
        }
    }
}
