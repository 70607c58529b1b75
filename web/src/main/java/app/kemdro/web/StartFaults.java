package app.kemdro.web;

import app.kemdro.web.parts.disk.DiskTrouble;
import app.kemdro.web.records.keeping.Moving;
import java.net.BindException;
import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.diagnostics.FailureAnalyzer;
import org.springframework.boot.web.server.PortInUseException;

/** Knows what usually keeps Kemdro from starting. */
class StartFaults implements FailureAnalyzer {
    /** The database's own number for a file it cannot make sense of. */
    private static final int DAMAGED = 90030;

    @Override
    public @Nullable FailureAnalysis analyze(Throwable failed) {
        for (Throwable t = failed; t != null; t = t.getCause()) {
            if (t instanceof PortInUseException port) {
                return why(
                        failed,
                        "Port " + port.getPort() + " is taken already, perhaps by Kemdro itself;",
                        "stop what uses it, or start with --port and another number.");
            }
            if (t instanceof BindException) {
                return why(
                        failed,
                        "This machine has no such address to listen on;",
                        "start with --address 0.0.0.0, or with an address the machine has.");
            }
            if (t instanceof Moving.Newer newer) {
                return why(failed, String.valueOf(newer.getMessage()), "");
            }
            if (t instanceof SQLException sql && DiskTrouble.isInUse(sql)) {
                return why(
                        failed,
                        "Another Kemdro is using this data;",
                        "stop it first, or point KEMDRO_HOME to another folder.");
            }
            if (t instanceof SQLException sql && sql.getErrorCode() == DAMAGED) {
                return why(
                        failed,
                        "The data is damaged and cannot be read;",
                        "move its folder away and bring back the latest backup with ./kemdro restore.");
            }
        }
        return DiskTrouble.is(failed)
                ? why(
                        failed,
                        "The data cannot be written, or not be read;",
                        "is the disk full or write-protected? Nothing was changed.")
                : null;
    }

    private static FailureAnalysis why(Throwable failed, String what, String todo) {
        return new FailureAnalysis(what, todo, failed);
    }
}
