package app.kemdro.web.records.product;

import app.kemdro.core.material.Materials;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Products as a JSON list: in each, the columns of the CSV by name, as text or as numbers. */
final class ProductJson {
    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(5)
                            .maxStringLength(20_000)
                            .build())
                    .build())
            .build();

    private ProductJson() {}

    static ProductRows.Read read(String text, Materials materials) {
        ProductRows rows = new ProductRows(materials);
        try {
            JsonNode list = MAPPER.readTree(text);
            if (!list.isArray()) {
                rows.complain("The file must be a list of products.");
            }
            for (int k = 0; k < list.size(); k++) {
                row(k, list.get(k), rows);
                if (rows.enough()) {
                    break;
                }
            }
        } catch (JacksonException e) {
            rows.complain("The file cannot be read as JSON"
                    + (e.getLocation() == null
                            ? "."
                            : " in line " + e.getLocation().getLineNr() + "."));
        }
        return rows.read();
    }

    private static void row(int k, JsonNode product, ProductRows rows) {
        String at = "product " + (k + 1);
        if (!product.isObject()) {
            rows.complain(at + ": it must have its columns by name.");
            return;
        }
        Map<String, String> cells = new LinkedHashMap<>();
        ProductReading.COLUMNS.forEach(c -> cells.put(c, ""));
        for (Map.Entry<String, JsonNode> cell : product.properties()) {
            if (!cells.containsKey(cell.getKey())) {
                rows.complain(at + ": '" + cell.getKey() + "' is not known here; take it out.");
                return;
            }
            if (cell.getValue().isContainer()) {
                rows.complain(at + ", " + cell.getKey() + ": it must be text or a number.");
                return;
            }
            cells.put(
                    cell.getKey(),
                    cell.getValue().isNull() ? "" : cell.getValue().asString());
        }
        rows.row(cells, c -> at + ", " + c);
    }

    static String write(List<ProductValues> products) {
        return MAPPER.writerWithDefaultPrettyPrinter()
                .writeValueAsString(
                        products.stream().map(ProductReading::written).toList());
    }
}
