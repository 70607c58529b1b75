package app.kemdro.web.rooms.door;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.util.HexFormat;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.server.ResponseStatusException;

/** The certificate this machine made for itself: how a tablet is told once that it may trust it. */
@Controller
class CertificateController {
    private final String file;

    CertificateController(@Value("${kemdro.certificate}") String file) {
        this.file = file;
    }

    @GetMapping("/certificate")
    String certificate(Model model) throws IOException, GeneralSecurityException {
        model.addAttribute("fingerprint", fingerprint(there()));
        return "rooms/door/certificate";
    }

    @GetMapping("/certificate.pem")
    ResponseEntity<byte[]> pem() throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                .header("Content-Disposition", "attachment; filename=\"kemdro.crt\"")
                .body(Files.readAllBytes(there()));
    }

    private Path there() {
        Path path = Path.of(file);
        if (file.isEmpty() || !Files.isReadable(path)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return path;
    }

    /** As browsers and tools show it: SHA-256, two hexadecimal digits a byte with colons between them. */
    private static String fingerprint(Path pem) throws IOException, GeneralSecurityException {
        try (InputStream in = Files.newInputStream(pem)) {
            byte[] encoded = CertificateFactory.getInstance("X.509")
                    .generateCertificate(in)
                    .getEncoded();
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(encoded);
            return HexFormat.ofDelimiter(":").withUpperCase().formatHex(digest);
        }
    }
}
