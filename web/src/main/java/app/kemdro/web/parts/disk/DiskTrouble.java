package app.kemdro.web.parts.disk;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;

/**
 * Tells errors of the disk from others. The database closes itself when it cannot write; connections to it are thrown away, so that
 * the next one opens it anew as soon as there is room.
 */
public class DiskTrouble implements SQLExceptionOverride {
    /** Closed by itself, an error of reading, writing or making a file, opened for reading only: the database's own numbers. */
    private static final Set<Integer> CODES = Set.of(90098, 90028, 90031, 90062, 90097);

    /** One that is open elsewhere. */
    private static final int IN_USE = 90020;

    private static final int GENERAL = 50000;

    /** What is said of a connection that was thrown away under whoever used it. */
    private static final String THROWN_AWAY = "Connection is closed";

    /** Whether the disk is why something failed. */
    public static boolean is(Throwable failed) {
        for (Throwable t = failed; t != null; t = t.getCause() == t ? null : t.getCause()) {
            if (t instanceof SQLException sql && isOfDisk(sql)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the data is open elsewhere. */
    public static boolean isInUse(SQLException failed) {
        return failed.getErrorCode() == IN_USE;
    }

    private static boolean isOfDisk(SQLException sql) {
        return CODES.contains(sql.getErrorCode())
                || THROWN_AWAY.equals(sql.getMessage())
                || sql.getErrorCode() == GENERAL
                        && String.valueOf(sql.getMessage()).contains("MVStoreException");
    }

    @java.lang.Override
    public Override adjudicate(SQLException failed) {
        return isOfDisk(failed) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }
}
