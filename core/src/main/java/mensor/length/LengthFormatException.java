package mensor.length;

/** A text that is not a length; the message says what was given and what was wanted. */
public final class LengthFormatException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    LengthFormatException(String message) {
        super(message);
    }
}
