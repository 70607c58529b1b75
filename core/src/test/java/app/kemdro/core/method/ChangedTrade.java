package app.kemdro.core.method;

import app.kemdro.core.body.Body;
import app.kemdro.core.datafile.DataFiles;
import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Materials;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.UnaryOperator;

/** The trade that ships, with one file of materials changed: for rules that nothing in today's data asks for. */
public final class ChangedTrade {
    private ChangedTrade() {}

    /** The trade with another text of this file of materials. */
    public static Trade materials(String file, UnaryOperator<String> change) {
        List<DataNode> families = DataNode.resource("/trade/materials/index.yaml").items().stream()
                .map(DataNode::text)
                .map(name -> name.equals(file) ? changed(name, change) : resource(name))
                .toList();
        return TradeReader.read(
                Body.standard(),
                Materials.read(families, DataNode.resource("/trade/allergens.yaml")),
                DataFiles.shipped("/trade/techniques"),
                name -> DataNode.resource("/trade/" + name + ".yaml"),
                WorkLaws.standard());
    }

    private static DataNode resource(String name) {
        return DataNode.resource("/trade/materials/" + name + ".yaml");
    }

    private static DataNode changed(String name, UnaryOperator<String> change) {
        try (InputStream in = ChangedTrade.class.getResourceAsStream("/trade/materials/" + name + ".yaml")) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            String other = change.apply(text);
            if (other.equals(text)) {
                throw new AssertionError("nothing was changed in " + name);
            }
            return DataNode.read(name + ".yaml", new StringReader(other));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }
}
