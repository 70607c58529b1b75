package app.kemdro.web.parts.file;

import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;

/** Tables as CSV, RFC 4180, UTF-8, with a header; no cell of them is a formula to a spreadsheet. */
public final class Tables {
    private static final String FORMULA = "=+-@\t\r";

    private Tables() {}

    /** Opens a table for reading, with or without a byte order mark. */
    public static CSVParser read(String text) throws IOException {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .get();
        return CSVParser.parse(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text), format);
    }

    /** Says which of the columns a table must have is not under its header, if one is not. */
    public static Optional<String> missing(List<String> header, List<String> columns) {
        return columns.stream()
                .filter(c -> !header.contains(c))
                .findFirst()
                .map(c -> "line 1: the column '" + c + "' is missing. The header is: " + String.join(",", columns));
    }

    /** Writes rows under a header. */
    public static String write(List<String> header, List<? extends Iterable<?>> rows) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(header.toArray(String[]::new))
                .get();
        try (CSVPrinter csv = new CSVPrinter(text, format)) {
            for (Iterable<?> row : rows) {
                csv.printRecord(row);
            }
        } catch (IOException impossible) {
            throw new IllegalStateException("Text cannot fail to be written", impossible);
        }
        return text.toString();
    }

    /** A cell that a spreadsheet would take for a formula is made plain text. */
    public static String harmless(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /** Takes the mark off again that {@link #harmless} put before a cell. */
    public static String plain(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
