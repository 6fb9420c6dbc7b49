package mensor.server.cause;

/** What the next weld showed of the trouble. */
public enum Outcome {
    BETTER,
    SAME,
    WORSE
}
