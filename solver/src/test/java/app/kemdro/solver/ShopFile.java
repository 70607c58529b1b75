package app.kemdro.solver;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;

/** The classic instances, with their source at the head of the file. */
final class ShopFile {
    private ShopFile() {}

    static List<String> lines() {
        try (InputStream in = Objects.requireNonNull(ShopFile.class.getResourceAsStream("/jobshop.txt"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
