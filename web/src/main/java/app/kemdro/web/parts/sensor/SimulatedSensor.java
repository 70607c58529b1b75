package app.kemdro.web.parts.sensor;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Stands in for a room sensor in the demo: a line every few seconds to whoever listens, after a scenario. Outside the demo it does nothing. */
@Component
public class SimulatedSensor implements DisposableBean {
    private static final int EVERY_MS = 4000;

    private final @Nullable ServerSocket server;
    private final Clock clock;
    private final Instant began;
    private volatile Scenario scenario = Scenario.STEADY;

    /** How the room behaves. */
    public enum Scenario {
        STEADY("an ordinary heated room"),
        WARMING("heating comes on: warmer and drier by the minute"),
        STEAMING("a kettle in a small room: damp and warm"),
        LAMPS("lamps are switched on every quarter of an hour"),
        DROPOUTS("the sensor says nonsense now and then");

        private final String words;

        Scenario(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    SimulatedSensor(RoomSensor listener, Clock clock, @Value("${kemdro.demo}") boolean demo) throws IOException {
        this.clock = clock;
        this.began = clock.instant();
        this.server = demo ? serving(listener) : null;
    }

    private ServerSocket serving(RoomSensor listener) throws IOException {
        ServerSocket opened = new ServerSocket(0, 8, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(() -> serve(opened), "simulated-sensor");
        thread.setDaemon(true);
        thread.start();
        listener.listen("127.0.0.1:" + opened.getLocalPort());
        return opened;
    }

    /** How the room behaves; empty outside the demo. */
    public Optional<Scenario> playing() {
        return server == null ? Optional.empty() : Optional.of(scenario);
    }

    public void play(Scenario next) {
        this.scenario = next;
    }

    private void serve(ServerSocket opened) {
        while (!opened.isClosed()) {
            try (Socket socket = opened.accept();
                    OutputStream out = socket.getOutputStream()) {
                while (!opened.isClosed()) {
                    out.write((line(scenario, Duration.between(began, clock.instant())) + "\n")
                            .getBytes(StandardCharsets.US_ASCII));
                    out.flush();
                    Thread.sleep(EVERY_MS);
                }
            } catch (IOException gone) {
                // the listener left; the next one is served
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    /** What is said so long after the beginning. */
    String line(Scenario now, Duration since) {
        double minutes = since.toMillis() / 60_000.0;
        double breath = Math.sin(minutes * 1.7) * 0.2;
        return switch (now) {
            case STEADY -> say(21.4 + breath, 46 - breath * 4);
            case WARMING -> say(Math.min(27, 18 + minutes * 0.25) + breath, Math.max(28, 52 - minutes * 0.7));
            case STEAMING -> say(Math.min(28, 23 + minutes * 0.2) + breath, Math.min(84, 60 + minutes * 1.5));
            case LAMPS -> (int) (minutes / 15) % 2 == 0 ? say(21 + breath, 45) : say(27 + breath, 33);
            case DROPOUTS -> (int) (minutes * 6) % 3 == 2 ? "KR1 -- T=NaN RH=" : say(21.4 + breath, 46);
        };
    }

    private String say(double temperature, double humidity) {
        return new Reading(clock.instant(), temperature, humidity).line();
    }

    @Override
    public void destroy() throws IOException {
        if (server != null) {
            server.close();
        }
    }
}
