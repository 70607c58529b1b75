package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.BindException;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.web.server.PortInUseException;

class StartFaultsTest {
    private static String said(Throwable cause) {
        FailureAnalysis why = new StartFaults().analyze(new IllegalStateException("could not start", cause));
        return why == null ? "" : why.getDescription() + " " + why.getAction();
    }

    @Test
    void whatUsuallyKeepsItFromStartingIsOneSentence() {
        assertThat(said(new PortInUseException(8080)))
                .startsWith("Port 8080 is taken already")
                .endsWith("number.");
        assertThat(said(new BindException("cannot assign"))).startsWith("This machine has no such address");
        assertThat(said(new SQLException("in use", "90020", 90020))).startsWith("Another Kemdro is using this data");
        assertThat(said(new SQLException("corrupted", "90030", 90030)))
                .contains("damaged")
                .contains("./kemdro restore");
        assertThat(said(new SQLException("io", "90031", 90031))).contains("full or write-protected");
        assertThat(said(new IllegalArgumentException("something else"))).isEmpty();
    }
}
