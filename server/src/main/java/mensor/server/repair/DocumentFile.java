package mensor.server.repair;

import mensor.server.photo.Photos;

/** A document that was sent: what it is, is told by its first bytes and not by its name. */
final class DocumentFile {
    static final int MOST_BYTES = 10 * 1024 * 1024;
    private static final byte[] PDF = {'%', 'P', 'D', 'F', '-'};
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G'};
    private static final byte[] JPEG = {(byte) 0xff, (byte) 0xd8, (byte) 0xff};

    private DocumentFile() {}

    /** Null where it is none of those that are kept, empty, or too large. */
    static String typeOf(byte[] bytes) {
        if (bytes == null || bytes.length > MOST_BYTES) {
            return null;
        }
        if (begins(bytes, PDF)) {
            return "application/pdf";
        }
        return begins(bytes, PNG) ? "image/png" : begins(bytes, JPEG) ? "image/jpeg" : null;
    }

    private static boolean begins(byte[] bytes, byte[] with) {
        if (bytes.length <= with.length) {
            return false;
        }
        for (int i = 0; i < with.length; i++) {
            if (bytes[i] != with[i]) {
                return false;
            }
        }
        return true;
    }

    static String sha256(byte[] bytes) {
        return Photos.sha256(bytes);
    }

    /** The name as it was sent, without what a path or a header could carry; else a plain one. */
    static String name(String sent, String type) {
        String plain =
                sent == null ? "" : sent.replaceAll("[^\\p{L}\\p{N} ._()-]", "").strip();
        String cut = plain.length() > 150 ? plain.substring(0, 150) : plain;
        return cut.isEmpty() ? "document." + type.substring(type.indexOf('/') + 1) : cut;
    }
}
