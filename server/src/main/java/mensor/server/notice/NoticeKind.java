package mensor.server.notice;

import java.util.Locale;

/** What somebody must be told of; a mail says no more than this. */
public enum NoticeKind {
    REJECT("a reject waits for you", "A weld was rejected, and a decision or a repair is wanted."),
    HOLD("a hold waits for you", "A repair waits for the Engineer's word."),
    PAPER("a paper runs out", "A certificate, an eye test or a welder's qualification runs out soon, or has run out."),
    GAUGE("a gauge is due", "A gauge is due for calibration soon, or is overdue."),
    SEALS(
            "how far the seals go",
            "Records were signed. Keep this mail: what is cut off the journal of seals afterwards is told by it.");

    private final String subject;
    private final String text;

    NoticeKind(String subject, String text) {
        this.subject = subject;
        this.text = text;
    }

    String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    static NoticeKind of(String id) {
        return valueOf(id.toUpperCase(Locale.ROOT));
    }

    String subject() {
        return subject;
    }

    String text() {
        return text;
    }
}
