package app.kemdro.core.colour;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;

/** The CIE 1931 standard observer and daylight D65, 380 to 750 nm in steps of 10. */
final class Observer {
    static final int BANDS = 38;
    static final int FIRST_NM = 380;
    static final int STEP_NM = 10;

    static final Observer STANDARD = read();

    /** Colour matching functions x, y, z by band. */
    final double[][] matching = new double[3][BANDS];

    final double[] daylight = new double[BANDS];

    private Observer(List<String> lines) {
        for (int i = 0; i < BANDS; i++) {
            String[] cells = lines.get(i).split(",");
            for (int c = 0; c < 3; c++) {
                matching[c][i] = Double.parseDouble(cells[c + 1]);
            }
            daylight[i] = Double.parseDouble(cells[4]);
        }
    }

    private static Observer read() {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(Observer.class.getResourceAsStream("/colour/observer.csv")),
                StandardCharsets.UTF_8))) {
            return new Observer(in.lines()
                    .filter(l -> !l.startsWith("#") && !l.startsWith("nm"))
                    .toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
