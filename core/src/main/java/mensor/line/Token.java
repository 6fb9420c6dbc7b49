package mensor.line;

/** A word and its place in the line. */
record Token(String text, int from, int to) {
    boolean isFraction() {
        return text.matches("\\d+/\\d+");
    }
}
