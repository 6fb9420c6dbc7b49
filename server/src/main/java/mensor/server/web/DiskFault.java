package mensor.server.web;

import java.sql.SQLException;
import java.util.Locale;
import java.util.Optional;

/** What a failed write of the database means, where the disk is the reason. */
final class DiskFault {
    static final String FULL = "the disk is full: nothing was stored. What is stored can be read; make room and repeat";
    static final String READ_ONLY =
            "the disk can only be read: nothing was stored. Whoever runs Mensor must look at it";

    /** H2: reading or writing its file failed; its file was closed after such a failure; the file is read-only. */
    private static final int[] OF_THE_FILE = {90028, 90031, 90098, 90097};

    private DiskFault() {}

    static Optional<String> of(Throwable failure) {
        boolean file = false;
        for (Throwable t = failure; t != null && t != t.getCause(); t = t.getCause()) {
            String said = String.valueOf(t.getMessage()).toLowerCase(Locale.ROOT);
            if (said.contains("no space left") || said.contains("not enough space") || said.contains("disk full")) {
                return Optional.of(FULL);
            }
            if (said.contains("read-only file system")
                    || said.contains("database is read only")
                    || said.contains("read-only transaction")) {
                return Optional.of(READ_ONLY);
            }
            if (t instanceof SQLException s) {
                for (int code : OF_THE_FILE) {
                    file |= s.getErrorCode() == code;
                }
            }
        }
        return file
                ? Optional.of(
                        "the database's file could not be written; look whether it was stored before you repeat it."
                                + " Whoever runs Mensor must look at the disk")
                : Optional.empty();
    }
}
