package app.kemdro.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/** How many of the faults put into a package its tests noticed, and where those are that they did not. */
public final class MutantsReport {
    private MutantsReport() {}

    private record Mutant(String where, String what, boolean noticed) {}

    /** Reads the report of one package: its name, and the file. */
    public static void main(String[] args) throws IOException, ParserConfigurationException, SAXException {
        List<Mutant> all = read(Path.of(args[1]));
        List<Mutant> missed = all.stream().filter(m -> !m.noticed()).toList();
        int noticed = all.size() - missed.size();
        System.out.printf(
                "%-10s %4d of %4d noticed, %.1f %%%n", args[0], noticed, all.size(), 100.0 * noticed / all.size());
        Map<String, Long> places = missed.stream()
                .collect(Collectors.groupingBy(m -> m.where() + "  " + m.what(), TreeMap::new, Collectors.counting()));
        places.forEach((place, times) -> System.out.println("  " + place + (times > 1 ? "  ×" + times : "")));
    }

    private static List<Mutant> read(Path file) throws IOException, ParserConfigurationException, SAXException {
        NodeList nodes = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(file.toFile())
                .getElementsByTagName("mutation");
        return IntStream.range(0, nodes.getLength())
                .mapToObj(i -> mutant((Element) nodes.item(i)))
                .toList();
    }

    private static Mutant mutant(Element node) {
        return new Mutant(
                text(node, "sourceFile").replace(".java", "") + "." + text(node, "mutatedMethod") + ":"
                        + text(node, "lineNumber"),
                text(node, "description").replaceAll("[\\w./]*/", ""),
                node.getAttribute("detected").equals("true"));
    }

    private static String text(Element node, String tag) {
        return node.getElementsByTagName(tag).item(0).getTextContent();
    }
}
