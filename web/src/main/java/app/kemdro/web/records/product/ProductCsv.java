package app.kemdro.web.records.product;

import app.kemdro.core.material.Materials;
import app.kemdro.web.parts.file.Tables;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Products as a CSV file, RFC 4180, UTF-8, with a header. */
final class ProductCsv {
    private ProductCsv() {}

    static ProductRows.Read read(String text, Materials materials) {
        ProductRows rows = new ProductRows(materials);
        try (CSVParser parser = Tables.read(text)) {
            List<String> header = parser.getHeaderNames();
            if (known(header, rows)) {
                for (CSVRecord row : parser) {
                    row(row, parser.getCurrentLineNumber(), header, rows);
                    if (rows.enough()) {
                        break;
                    }
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            rows.complain("The file cannot be read as CSV: " + e.getMessage());
        }
        return rows.read();
    }

    private static boolean known(List<String> header, ProductRows rows) {
        Optional<String> missing = Tables.missing(header, ProductReading.COLUMNS);
        Optional<String> strange = header.stream()
                .filter(c -> !ProductReading.COLUMNS.contains(c))
                .findFirst()
                .map(c -> "line 1: the column '" + c + "' is not known here; take it out.");
        missing.ifPresent(rows::complain);
        strange.ifPresent(rows::complain);
        return missing.isEmpty() && strange.isEmpty();
    }

    private static void row(CSVRecord row, long line, List<String> header, ProductRows rows) {
        if (row.size() != header.size()) {
            rows.complain("line " + line + ": it has " + row.size() + " cells; the header has " + header.size() + ".");
            return;
        }
        Map<String, String> cells = new LinkedHashMap<>();
        header.forEach(c -> cells.put(c, Tables.plain(row.get(c))));
        rows.row(cells, c -> "line " + line + ", column " + (header.indexOf(c) + 1) + " (" + c + ")");
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
