package app.kemdro.web.product;

import app.kemdro.core.material.Materials;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Products as a CSV file, RFC 4180, UTF-8, with a header. A file is taken whole or not at all. */
final class ProductCsv {
    private static final int MOST_ROWS = 5000;
    private static final int MOST_COMPLAINTS = 20;

    private ProductCsv() {}

    /** What came of a file: products, or what is wrong with it by line and column. */
    record Read(List<ProductValues> products, List<String> wrong) {}

    static Read read(String text, Materials materials) {
        List<String> wrong = new ArrayList<>();
        List<ProductValues> products = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .get();
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            List<String> header = parser.getHeaderNames();
            checkHeader(header, wrong);
            Set<String> codes = new HashSet<>();
            if (wrong.isEmpty()) {
                for (CSVRecord row : parser) {
                    row(row, parser.getCurrentLineNumber(), header, codes, materials, products, wrong);
                    if (products.size() > MOST_ROWS) {
                        wrong.add("More than " + MOST_ROWS + " rows; split the file.");
                    }
                    if (wrong.size() >= MOST_COMPLAINTS) {
                        wrong.add("There may be more; mend these first.");
                        break;
                    }
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            wrong.add("The file cannot be read as CSV: " + e.getMessage());
        }
        if (wrong.isEmpty() && products.isEmpty()) {
            wrong.add("The file holds no product.");
        }
        return new Read(wrong.isEmpty() ? products : List.of(), wrong);
    }

    private static void checkHeader(List<String> header, List<String> wrong) {
        ProductReading.COLUMNS.stream()
                .filter(c -> !header.contains(c))
                .findFirst()
                .ifPresent(c -> wrong.add("line 1: the column '" + c + "' is missing. The header is: "
                        + String.join(",", ProductReading.COLUMNS)));
        header.stream()
                .filter(c -> !ProductReading.COLUMNS.contains(c))
                .findFirst()
                .ifPresent(c -> wrong.add("line 1: the column '" + c + "' is not known here; take it out."));
    }

    private static void row(
            CSVRecord row,
            long line,
            List<String> header,
            Set<String> codes,
            Materials materials,
            List<ProductValues> products,
            List<String> wrong) {
        if (row.size() != header.size()) {
            wrong.add("line " + line + ": it has " + row.size() + " cells; the header has " + header.size() + ".");
            return;
        }
        Map<String, String> cells = new LinkedHashMap<>();
        header.forEach(c -> cells.put(c, plain(row.get(c))));
        ProductReading.Read read = ProductReading.read(cells, materials);
        read.wrong()
                .forEach((column, says) -> wrong.add(
                        "line " + line + ", column " + (header.indexOf(column) + 1) + " (" + column + "): " + says));
        read.values().ifPresent(v -> {
            if (codes.add(v.code())) {
                products.add(v);
            } else {
                wrong.add("line " + line + ", column " + (header.indexOf("code") + 1) + " (code): '" + v.code()
                        + "' stands in the file twice.");
            }
        });
    }

    /** Writes products under the header, so that a spreadsheet takes no cell for a formula. */
    static String write(List<ProductValues> products) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(ProductReading.COLUMNS.toArray(String[]::new))
                .get();
        try (CSVPrinter csv = new CSVPrinter(text, format)) {
            for (ProductValues product : products) {
                csv.printRecord(ProductReading.written(product).values().stream()
                        .map(ProductCsv::harmless)
                        .toList());
            }
        } catch (IOException impossible) {
            throw new IllegalStateException("Text cannot fail to be written", impossible);
        }
        return text.toString();
    }

    private static String harmless(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    /** Takes the mark off again that {@link #harmless} put before a cell. */
    private static String plain(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && "=+-@\t\r".indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
