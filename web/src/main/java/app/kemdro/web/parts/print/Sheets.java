package app.kemdro.web.parts.print;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.slf4j.Slf4jLogger;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** Templates as PDF, in the type of the screens. */
@Component
public class Sheets {
    private static final int PLAIN = 400;
    private static final int BOLD = 700;

    /** Sizes of type that are read at arm's length, points (judgement). */
    private static final double LARGEST = 12;

    private static final double[] SMALLER = {11, 10};

    private final SpringTemplateEngine templates;

    Sheets(SpringTemplateEngine templates) {
        this.templates = templates;
        XRLog.setLoggerImpl(new Slf4jLogger());
    }

    /**
     * Prints a template so that it is read by a mirror, at arm's length: on one side of paper if the type may be no smaller than that, else
     * on as many as it takes in the largest. The size, in points, is given to the template as {@code size}.
     */
    public byte[] readable(String template, Map<String, Object> values) {
        byte[] largest = sized(template, values, LARGEST);
        byte[] sheet = largest;
        for (int smaller = 0; sides(sheet) > 1; smaller++) {
            if (smaller == SMALLER.length) {
                return largest;
            }
            sheet = sized(template, values, SMALLER[smaller]);
        }
        return sheet;
    }

    private byte[] sized(String template, Map<String, Object> values, double size) {
        Map<String, Object> all = new HashMap<>(values);
        all.put("size", size);
        return pdf(template, all);
    }

    private static int sides(byte[] sheet) {
        try (PDDocument document = Loader.loadPDF(sheet)) {
            return document.getNumberOfPages();
        } catch (IOException e) {
            throw new UncheckedIOException("The sheet could not be read again", e);
        }
    }

    /** Fills a template, which must be well-formed XML, and prints it. */
    public byte[] pdf(String template, Map<String, Object> values) {
        String page = Printable.of(templates.process(template, new Context(Locale.ENGLISH, values)));
        PdfRendererBuilder builder = new PdfRendererBuilder();
        for (int weight : new int[] {PLAIN, BOLD}) {
            builder.useFont(font(weight), "read", weight, FontStyle.NORMAL, true);
        }
        builder.withHtmlContent(page, "");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException("The sheet could not be printed", e);
        }
        return out.toByteArray();
    }

    private static FSSupplier<InputStream> font(int weight) {
        return () -> Sheets.class.getResourceAsStream("/print-fonts/read-" + weight + ".ttf");
    }
}
