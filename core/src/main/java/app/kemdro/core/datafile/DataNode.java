package app.kemdro.core.datafile;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.yaml.snakeyaml.DumperOptions.FlowStyle;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.nodes.MappingNode;
import org.yaml.snakeyaml.nodes.Node;
import org.yaml.snakeyaml.nodes.NodeTuple;
import org.yaml.snakeyaml.nodes.ScalarNode;
import org.yaml.snakeyaml.nodes.SequenceNode;
import org.yaml.snakeyaml.nodes.Tag;

/** A place in a YAML file that remembers its line, so that every complaint can say where it is. */
public final class DataNode {
    private final String file;
    private final Node node;

    private DataNode(String file, Node node) {
        this.file = file;
        this.node = node;
    }

    /**
     * Opens a resource of the class path.
     *
     * @throws BrokenFile when it is missing or not YAML
     */
    public static DataNode resource(String path) {
        try (InputStream in = DataNode.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new BrokenFile(path, 0, "the file is missing");
            }
            return read(path, new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads YAML text; {@code file} is only the name used in complaints.
     *
     * @throws BrokenFile when it is empty or not YAML
     */
    public static DataNode read(String file, Reader text) {
        try {
            LoaderOptions options = new LoaderOptions();
            options.setAllowDuplicateKeys(false);
            Node root = new Yaml(options).compose(text);
            if (root == null) {
                throw new BrokenFile(file, 1, "the file is empty");
            }
            return new DataNode(file, root);
        } catch (MarkedYAMLException e) {
            int line = e.getProblemMark() == null ? 0 : e.getProblemMark().getLine() + 1;
            throw new BrokenFile(file, line, e.getProblem());
        }
    }

    /** This mapping with its own values over those of another; keys in {@code without} are not taken over. */
    public DataNode over(DataNode other, Set<String> without) {
        Map<String, DataNode> own = entries();
        List<NodeTuple> tuples = new ArrayList<>();
        for (NodeTuple tuple : ((MappingNode) other.node).getValue()) {
            String key = new DataNode(other.file, tuple.getKeyNode()).text();
            if (!own.containsKey(key) && !without.contains(key)) {
                tuples.add(tuple);
            }
        }
        tuples.addAll(((MappingNode) node).getValue());
        return mapping(tuples);
    }

    /** This mapping of mappings over another one: what both name is laid over it key by key. */
    public DataNode overEach(DataNode other) {
        List<NodeTuple> tuples = new ArrayList<>();
        for (NodeTuple tuple : ((MappingNode) node).getValue()) {
            DataNode own = new DataNode(file, tuple.getValueNode());
            DataNode same = other.find(new DataNode(file, tuple.getKeyNode()).text());
            tuples.add(
                    same != null && own.isMapping() && same.isMapping()
                            ? new NodeTuple(tuple.getKeyNode(), own.over(same, Set.of()).node)
                            : tuple);
        }
        return mapping(tuples).over(other, Set.of());
    }

    /** This mapping with another value of this key, which it has. */
    public DataNode with(String key, DataNode value) {
        List<NodeTuple> tuples = ((MappingNode) node)
                .getValue().stream()
                        .map(t -> new DataNode(file, t.getKeyNode()).text().equals(key)
                                ? new NodeTuple(t.getKeyNode(), value.node)
                                : t)
                        .toList();
        return mapping(tuples);
    }

    private DataNode mapping(List<NodeTuple> tuples) {
        return new DataNode(
                file, new MappingNode(Tag.MAP, true, tuples, node.getStartMark(), node.getEndMark(), FlowStyle.BLOCK));
    }

    /**
     * The words under a key, each of which has to be known.
     *
     * @param otherwise what is said before the first that is not
     */
    public Set<String> known(String key, Predicate<String> isKnown, String otherwise) {
        Set<String> words = new LinkedHashSet<>(words(key));
        words.stream().filter(isKnown.negate()).findFirst().ifPresent(w -> {
            throw get(key).broken(otherwise + " '" + w + "'");
        });
        return words;
    }

    /** This mapping without these keys. */
    public DataNode without(Set<String> keys) {
        List<NodeTuple> tuples = ((MappingNode) node)
                .getValue().stream()
                        .filter(t -> !keys.contains(new DataNode(file, t.getKeyNode()).text()))
                        .toList();
        return mapping(tuples);
    }

    /** Whether this is a mapping of names to values. */
    public boolean isMapping() {
        return node instanceof MappingNode;
    }

    /** Whether this is a list. */
    public boolean isList() {
        return node instanceof SequenceNode;
    }

    /** A complaint about this place. */
    public BrokenFile broken(String reason) {
        return new BrokenFile(file, node.getStartMark().getLine() + 1, reason);
    }

    /** The entries of a mapping, in file order. */
    public Map<String, DataNode> entries() {
        if (!(node instanceof MappingNode mapping)) {
            throw broken("expected names with values");
        }
        Map<String, DataNode> result = new LinkedHashMap<>();
        mapping.getValue().forEach(t -> {
            String key = new DataNode(file, t.getKeyNode()).text();
            if (result.put(key, new DataNode(file, t.getValueNode())) != null) {
                throw new DataNode(file, t.getKeyNode()).broken("'" + key + "' stands here twice");
            }
        });
        return result;
    }

    /** Complains about any key that is not one of these, so that a misspelt key is never silently ignored. */
    public void onlyKeys(Set<String> known) {
        entries().forEach((key, value) -> {
            if (!known.contains(key)) {
                throw value.broken("unknown key '" + key + "'; known are "
                        + String.join(", ", known.stream().sorted().toList()));
            }
        });
    }

    /** The items of a list, in file order. */
    public List<DataNode> items() {
        if (!(node instanceof SequenceNode sequence)) {
            throw broken("expected a list");
        }
        List<DataNode> result = new ArrayList<>();
        sequence.getValue().forEach(n -> result.add(new DataNode(file, n)));
        return result;
    }

    /** The value under a key that may be absent. */
    public @Nullable DataNode find(String key) {
        return entries().get(key);
    }

    /** The value under a key that must be there. */
    public DataNode get(String key) {
        DataNode found = find(key);
        if (found == null) {
            throw broken("'" + key + "' is missing");
        }
        return found;
    }

    public String text() {
        if (node instanceof ScalarNode scalar && !scalar.getValue().isBlank()) {
            return scalar.getValue();
        }
        throw broken("expected a word or a sentence");
    }

    public String text(String key, String otherwise) {
        DataNode found = find(key);
        return found == null ? otherwise : found.text();
    }

    public boolean flag(String key) {
        DataNode found = find(key);
        if (found == null) {
            return false;
        }
        return switch (found.text()) {
            case "true", "yes" -> true;
            case "false", "no" -> false;
            default -> throw found.broken("expected yes or no");
        };
    }

    /** A number within the range, both ends included. */
    public double number(double least, double most) {
        try {
            double value = Double.parseDouble(text());
            if (value >= least && value <= most) {
                return value;
            }
            throw broken("%s lies outside %s to %s".formatted(text(), least, most));
        } catch (NumberFormatException e) {
            throw broken("expected a number, found '" + text() + "'");
        }
    }

    public double number(String key, double otherwise, double least, double most) {
        DataNode found = find(key);
        return found == null ? otherwise : found.number(least, most);
    }

    /** A list of words; absent means none. */
    public List<String> words(String key) {
        DataNode found = find(key);
        return found == null
                ? List.of()
                : found.items().stream().map(DataNode::text).toList();
    }

    /** Constants of an enumeration under a key; absent means none. */
    public <E extends Enum<E>> Set<E> choices(String key, Class<E> type) {
        Set<E> chosen = EnumSet.noneOf(type);
        DataNode found = find(key);
        if (found != null) {
            found.items().forEach(item -> chosen.add(item.choice(type)));
        }
        return chosen;
    }

    /** One of an enumeration's constants, written in lower case with hyphens. */
    public <E extends Enum<E>> E choice(Class<E> type) {
        String wanted = text().toUpperCase(java.util.Locale.ROOT).replace('-', '_');
        for (E constant : type.getEnumConstants()) {
            if (constant.name().equals(wanted)) {
                return constant;
            }
        }
        throw broken("'" + text() + "' is not a " + type.getSimpleName().toLowerCase(java.util.Locale.ROOT));
    }
}
