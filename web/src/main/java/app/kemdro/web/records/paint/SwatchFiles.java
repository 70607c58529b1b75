package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Srgb;
import app.kemdro.core.material.Materials;
import app.kemdro.web.parts.file.Tables;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Swatches as files: CSV with Lab (RFC 4180, UTF-8), and the open palette text format .gpl, which knows one colour a paint. A
 * file is taken whole or not at all.
 */
public final class SwatchFiles {
    static final int MOST = 500;
    private static final int MOST_COMPLAINTS = 20;
    private static final Pattern LINE = Pattern.compile("\\s*(\\d{1,3})\\s+(\\d{1,3})\\s+(\\d{1,3})(?:\\s+(.*))?");

    private SwatchFiles() {}

    /** What came of a file: swatches, or what is wrong with it, by line. */
    record Read(List<SwatchValues> swatches, List<String> wrong) {
        static Read of(List<SwatchValues> swatches, List<String> wrong) {
            if (swatches.size() > MOST) {
                wrong.add("The file holds " + swatches.size() + " colours; " + MOST
                        + " is the most. Take out what is no paint.");
            } else if (swatches.isEmpty() && wrong.isEmpty()) {
                wrong.add("The file holds no colour.");
            }
            return new Read(wrong.isEmpty() ? swatches : List.of(), wrong);
        }
    }

    public static Read csv(String text, Materials materials) {
        List<String> wrong = new ArrayList<>();
        List<SwatchValues> swatches = new ArrayList<>();
        Set<String> names = new HashSet<>();
        try (CSVParser parser = Tables.read(text)) {
            Tables.missing(parser.getHeaderNames(), SwatchReading.COLUMNS).ifPresent(wrong::add);
            for (CSVRecord row : wrong.isEmpty() ? parser : List.<CSVRecord>of()) {
                long line = parser.getCurrentLineNumber();
                if (!row.isConsistent()) {
                    wrong.add("line " + line + ": it has " + row.size() + " cells; the header has more or fewer.");
                } else {
                    Map<String, String> cells = new LinkedHashMap<>();
                    SwatchReading.COLUMNS.forEach(c -> cells.put(c, Tables.plain(row.get(c))));
                    SwatchReading.Read read = SwatchReading.read(cells, materials);
                    read.wrong().forEach((c, says) -> wrong.add("line " + line + " (" + c + "): " + says));
                    read.values().ifPresent(v -> {
                        swatches.add(v);
                        if (!names.add(v.name())) {
                            wrong.add("line " + line + " (name): '" + v.name() + "' stands in the file twice.");
                        }
                    });
                }
                if (wrong.size() >= MOST_COMPLAINTS || swatches.size() > 20 * MOST) {
                    break;
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            wrong.add("The file cannot be read as CSV: " + e.getMessage());
        }
        return Read.of(swatches, wrong);
    }

    /** A palette: each colour becomes a paint of this family that hides fully. */
    public static Read palette(String text, String family, double grams) {
        List<String> wrong = new ArrayList<>();
        Map<String, SwatchValues> swatches = new LinkedHashMap<>();
        String[] lines = text.split("\\R");
        if (!lines[0].strip().endsWith("Palette")) {
            wrong.add("line 1: this is no palette file; a .gpl file says so in its first line.");
            return Read.of(List.of(), wrong);
        }
        int count = 0;
        for (int k = 1; k < lines.length && wrong.size() < MOST_COMPLAINTS; k++) {
            String line = lines[k];
            if (line.isBlank() || line.startsWith("#") || line.contains(":")) {
                continue;
            }
            Matcher m = LINE.matcher(line);
            if (!m.matches()) {
                wrong.add("line " + (k + 1) + ": '" + line.strip()
                        + "' is no colour; it should be three numbers and a name.");
                continue;
            }
            count++;
            try {
                Srgb colour = new Srgb(share(m.group(1)), share(m.group(2)), share(m.group(3)));
                String name = m.group(4) == null || m.group(4).isBlank()
                        ? colour.hex()
                        : m.group(4).strip();
                swatches.putIfAbsent(
                        name,
                        new SwatchValues(
                                name.substring(0, Math.min(80, name.length())),
                                family,
                                colour.lab(),
                                null,
                                grams,
                                false));
            } catch (IllegalArgumentException e) {
                wrong.add("line " + (k + 1) + ": numbers are 0 to 255.");
            }
        }
        if (count > MOST) {
            wrong.add("The file holds " + count + " colours; " + MOST + " is the most. Take out what is no paint.");
        }
        return Read.of(List.copyOf(swatches.values()), wrong);
    }

    private static double share(String number) {
        return Integer.parseInt(number) / 255.0;
    }

    public static String csv(List<SwatchValues> swatches) {
        return Tables.write(
                SwatchReading.COLUMNS,
                swatches.stream()
                        .map(v -> {
                            Map<String, String> cells = SwatchReading.written(v);
                            cells.put("name", Tables.harmless(v.name()));
                            return cells.values();
                        })
                        .toList());
    }

    public static String palette(String title, List<SwatchValues> swatches) {
        StringBuilder text =
                new StringBuilder("GIMP Palette\nName: " + title.replaceAll("\\R", " ") + "\nColumns: 8\n#\n");
        for (SwatchValues v : swatches) {
            Srgb c = Srgb.of(v.white());
            text.append("%3d %3d %3d\t%s%n"
                    .formatted(
                            Math.round(c.r() * 255),
                            Math.round(c.g() * 255),
                            Math.round(c.b() * 255),
                            v.name().replaceAll("[\\r\\n:]", " ")));
        }
        return text.toString().replace("\r", "");
    }
}
