package app.kemdro.web.parts.file;

import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files as answers. */
public final class Files {
    private Files() {}

    /** Text that is kept as a file; the type is said as in "text/csv". */
    public static ResponseEntity<byte[]> kept(String name, String type, String text) {
        return kept(name, type + ";charset=UTF-8", text.getBytes(StandardCharsets.UTF_8));
    }

    /** Bytes that are kept as a file. */
    public static ResponseEntity<byte[]> kept(String name, String type, byte[] bytes) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(bytes);
    }

    /** A sheet that is shown. */
    public static ResponseEntity<byte[]> sheet(String name, byte[] pdf) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .body(pdf);
    }

    /** No file, but a page that says why. */
    public static ResponseEntity<byte[]> elsewhere(String path) {
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .location(URI.create(path))
                .build();
    }

    /** A title as the name of a file. */
    public static String named(String title) {
        return title.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    }
}
