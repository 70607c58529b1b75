package app.kemdro.web.parts.figure;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.attributes.ViewBox;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.Color;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;

/** The plaster figure with its zones painted, as a drawing of its own that any program of drawings opens. */
public final class PaintedFigure {
    /** Views that show a head, by the name of their drawing. */
    public static final Set<String> VIEWS =
            Set.of("front", "left", "right", "back", "three-quarter", "three-quarter-right");

    private static final Pattern ZONE = Pattern.compile("data-zone=\"([a-z-]+)\" class=\"zone\"");

    /** What shades the figure: its plaster and its lines. */
    private static final Pattern PLASTER = Pattern.compile("<g class=\"(?:plaster|lines)\".*?</g>", Pattern.DOTALL);

    /** Behind the head some zones are others than in front. */
    private static final Map<String, String> BACK =
            Map.of("ear-left", "behind-ear-left", "ear-right", "behind-ear-right");

    private PaintedFigure() {}

    /**
     * Draws a view.
     *
     * @param paint the colour of a zone by its id, as {@code #a05c30}
     */
    public static String draw(String view, String title, Function<String, String> paint) {
        String drawn = painted(view, paint, " style=\"mix-blend-mode:multiply;fill-opacity:.96\"");
        return drawn.replaceFirst(
                "aria-label=\"[^\"]*\"", Matcher.quoteReplacement("aria-label=\"" + escaped(title) + "\""));
    }

    /**
     * The same as a picture for paper: PNG.
     *
     * @param height in pixels
     */
    public static byte[] png(String view, int height, Function<String, String> paint) {
        String drawing = drawing(view);
        BufferedImage plaster = picture(drawing, height);
        BufferedImage colours =
                picture(PLASTER.matcher(painted(view, paint, "")).replaceAll(""), height);
        for (int y = 0; y < plaster.getHeight(); y++) {
            for (int x = 0; x < plaster.getWidth(); x++) {
                plaster.setRGB(x, y, multiplied(plaster.getRGB(x, y), colours.getRGB(x, y)));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(plaster, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException("The figure could not be written", e);
        }
        return out.toByteArray();
    }

    private static BufferedImage picture(String drawing, int height) {
        SVGDocument document = new SVGLoader()
                .load(
                        new ByteArrayInputStream(drawing.getBytes(StandardCharsets.UTF_8)),
                        null,
                        LoaderContext.createDefault());
        if (document == null) {
            throw new IllegalStateException("The figure could not be drawn.");
        }
        int width = Math.round(height * document.size().width / document.size().height);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, width, height);
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        document.render((Component) null, g, new ViewBox(0, 0, width, height));
        g.dispose();
        return image;
    }

    private static int multiplied(int one, int other) {
        int both = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            both |= (one >> shift & 0xff) * (other >> shift & 0xff) / 0xff << shift;
        }
        return both;
    }

    private static String painted(String view, Function<String, String> paint, String style) {
        return ZONE.matcher(drawing(view)).replaceAll(m -> {
            String zone = view.equals("back") ? BACK.getOrDefault(m.group(1), m.group(1)) : m.group(1);
            return "data-zone=\"" + zone + "\" fill=\"" + paint.apply(zone) + "\"" + style;
        });
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
