package app.kemdro.web.rooms.colour;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The plaster figure with its zones painted, as a drawing of its own that any program of drawings opens. */
final class PaintedFigure {
    /** Views that show a head, by the name of their drawing. */
    static final Set<String> VIEWS = Set.of("front", "left", "right", "back", "three-quarter", "three-quarter-right");

    private static final Pattern ZONE = Pattern.compile("data-zone=\"([a-z-]+)\" class=\"zone\"");

    /** Behind the head some zones are others than in front. */
    private static final Map<String, String> BACK =
            Map.of("ear-left", "behind-ear-left", "ear-right", "behind-ear-right");

    private PaintedFigure() {}

    /**
     * Draws a view.
     *
     * @param paint the colour of a zone by its id, as {@code #a05c30}
     */
    static String draw(String view, String title, Function<String, String> paint) {
        Matcher zones = ZONE.matcher(drawing(view));
        String drawn = zones.replaceAll(m -> {
            String zone = view.equals("back") ? BACK.getOrDefault(m.group(1), m.group(1)) : m.group(1);
            return "data-zone=\"" + zone + "\" fill=\"" + paint.apply(zone)
                    + "\" style=\"mix-blend-mode:multiply;fill-opacity:.96\"";
        });
        return drawn.replaceFirst(
                "aria-label=\"[^\"]*\"", Matcher.quoteReplacement("aria-label=\"" + escaped(title) + "\""));
    }

    private static String drawing(String view) {
        String name = "/static/figure/bust-" + view + ".svg";
        try (InputStream in = PaintedFigure.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalArgumentException("There is no view '" + view + "'.");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The drawing " + name + " could not be read", e);
        }
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }
}
