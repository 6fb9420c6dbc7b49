package mensor.server.db;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Which database keeps the data, as {@code mensor.db} or MENSOR_DB says: the embedded one, or a PostgreSQL by its address. */
public final class WhichDatabase {
    public static final String EMBEDDED = "embedded";

    private static final String ARGUMENT = "--mensor.db=";

    private WhichDatabase() {}

    public static boolean isEmbedded(String db) {
        return db.equals(EMBEDDED);
    }

    /** Before anything of the application is read: what its arguments say goes before what the machine says. */
    public static String named(String[] arguments, Map<String, String> environment) {
        return Stream.of(arguments)
                .filter(a -> a.startsWith(ARGUMENT))
                .map(a -> a.substring(ARGUMENT.length()))
                .findFirst()
                .orElseGet(() -> System.getProperty("mensor.db", environment.getOrDefault("MENSOR_DB", EMBEDDED)));
    }

    /** @param setting gives what stands under a name, null where nothing does */
    public static String password(UnaryOperator<String> setting, String name, String fileName) {
        String file = setting.apply(fileName);
        if (file == null) {
            String password = setting.apply(name);
            return password == null ? "" : password;
        }
        try {
            return Files.readString(Path.of(file)).strip();
        } catch (IOException e) {
            throw new UncheckedIOException("the file with the database's password cannot be read: " + file, e);
        }
    }
}
