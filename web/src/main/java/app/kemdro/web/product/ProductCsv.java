package app.kemdro.web.product;

import app.kemdro.core.material.Materials;
import app.kemdro.web.file.Tables;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVParser;
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
        try (CSVParser parser = Tables.read(text)) {
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
        header.forEach(c -> cells.put(c, Tables.plain(row.get(c))));
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
        return Tables.write(
                ProductReading.COLUMNS,
                products.stream()
                        .map(p -> ProductReading.written(p).values().stream()
                                .map(Tables::harmless)
                                .toList())
                        .toList());
    }
}
