package app.kemdro.web.rooms.door;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** Asks for the door in plain HTTP under any name, which no well-mannered client does. */
final class RawVisit {
    private RawVisit() {}

    static String raw(int port, String host) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write(("GET /sign-in HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
