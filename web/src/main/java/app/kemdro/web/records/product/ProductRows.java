package app.kemdro.web.records.product;

import app.kemdro.core.material.Materials;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;

/** The rows of a file of products, taken whole or not at all. */
final class ProductRows {
    private static final int MOST_ROWS = 5000;
    private static final int MOST_COMPLAINTS = 20;

    private final Materials materials;
    private final Set<String> codes = new HashSet<>();
    private final List<ProductValues> products = new ArrayList<>();
    private final List<String> wrong = new ArrayList<>();

    ProductRows(Materials materials) {
        this.materials = materials;
    }

    /** What came of a file: products, or what is wrong with it by where it stands. */
    record Read(List<ProductValues> products, List<String> wrong) {}

    void complain(String says) {
        wrong.add(says);
    }

    /** Whether there is no sense in reading on; says so once. */
    boolean enough() {
        if (products.size() > MOST_ROWS) {
            wrong.add("More than " + MOST_ROWS + " rows; split the file.");
            return true;
        }
        if (wrong.size() >= MOST_COMPLAINTS) {
            wrong.add("There may be more; mend these first.");
            return true;
        }
        return false;
    }

    /**
     * Takes one row.
     *
     * @param where says where a column of it stands in the file
     */
    void row(Map<String, String> cells, UnaryOperator<String> where) {
        ProductReading.Read read = ProductReading.read(cells, materials);
        read.wrong().forEach((column, says) -> wrong.add(where.apply(column) + ": " + says));
        read.values().ifPresent(v -> {
            if (codes.add(v.code())) {
                products.add(v);
            } else {
                wrong.add(where.apply("code") + ": '" + v.code() + "' stands in the file twice.");
            }
        });
    }

    Read read() {
        if (wrong.isEmpty() && products.isEmpty()) {
            wrong.add("The file holds no product.");
        }
        return new Read(wrong.isEmpty() ? products : List.of(), wrong);
    }
}
