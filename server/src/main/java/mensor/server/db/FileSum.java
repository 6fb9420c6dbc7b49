package mensor.server.db;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The SHA-256 of a file, however long. */
public final class FileSum {
    private FileSum() {}

    public static String sha256(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            new DigestInputStream(in, sum).transferTo(OutputStream.nullOutputStream());
            return HexFormat.of().formatHex(sum.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
