package mensor.server.db;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;

/**
 * A connection to a database file that the embedded database closed after a failed write is given up: it still calls itself valid,
 * but a new one alone opens the file again.
 */
public final class BrokenConnection implements SQLExceptionOverride {
    /** H2: a general fault of the store; reading or writing failed; the file was closed after such a failure. */
    private static final Set<Integer> FILE_CLOSED = Set.of(50000, 90028, 90031, 90098);

    @java.lang.Override // the interface has a type of that name
    public Override adjudicate(SQLException e) {
        return FILE_CLOSED.contains(e.getErrorCode()) && isOfH2(e) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }

    private static boolean isOfH2(SQLException e) {
        return e.getClass().getName().startsWith("org.h2.");
    }
}
