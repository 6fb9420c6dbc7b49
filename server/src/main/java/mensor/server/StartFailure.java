package mensor.server;

import java.sql.SQLException;
import mensor.server.record.SealJournal;
import org.springframework.boot.web.server.PortInUseException;

/** What a failure to start means, in one line; null where that is not known. */
final class StartFailure {
    private StartFailure() {}

    static String explain(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            String message = String.valueOf(t.getMessage());
            if (t instanceof PortInUseException p) {
                return "port " + p.getPort() + " is in use; name another with --port";
            }
            if (t.getClass().getSimpleName().equals("FlywayValidateException")) {
                return message.contains("not resolved locally")
                        ? "the database was written by a newer version of Mensor; start that version, or name another data folder with --data"
                        : "the database does not fit this version of Mensor: "
                                + message.lines().skip(1).findFirst().orElse(message);
            }
            if (message.contains("Database may be already in use")) {
                return "another Mensor is using this data folder; stop it, or name another with --data";
            }
            if (t instanceof SQLException s && s.getSQLState() != null) {
                if (s.getSQLState().startsWith("08")) {
                    return "the database that MENSOR_DB names cannot be reached: " + message;
                }
                if (s.getSQLState().startsWith("28") || s.getSQLState().equals("3D000")) {
                    return "the database that MENSOR_DB names does not let Mensor in: " + message;
                }
            }
            if (t instanceof SealJournal.ReadByOthers) {
                return message;
            }
            if (t instanceof IllegalArgumentException && message.contains("MENSOR_DB")) {
                return message;
            }
            if (message.contains("AccessDeniedException")
                    || message.contains("Permission denied")
                    || message.contains("Read-only file system")
                    || message.contains("Error while creating file")
                    || message.contains("NotDirectoryException")) {
                return "the data folder cannot be written; name another with --data";
            }
            if (t == t.getCause()) {
                break;
            }
        }
        return null;
    }
}
