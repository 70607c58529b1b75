package app.kemdro.core.datafile;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Several files that together are one list of named entries. */
public final class DataFiles {
    private DataFiles() {}

    /**
     * All entries of the files, in order; each keeps its own file and line.
     *
     * @throws BrokenFile when two of them bear one name
     */
    public static Map<String, DataNode> entries(List<DataNode> files) {
        Map<String, DataNode> all = new LinkedHashMap<>();
        for (DataNode file : files) {
            file.entries().forEach((id, node) -> {
                if (all.put(id, node) != null) {
                    throw node.broken("'" + id + "' is there already");
                }
            });
        }
        return all;
    }

    /** The files that ship under a folder of the class path, as its index lists them. */
    public static List<DataNode> shipped(String folder) {
        return DataNode.resource(folder + "/index.yaml").items().stream()
                .map(name -> DataNode.resource(folder + "/" + name.text() + ".yaml"))
                .toList();
    }
}
