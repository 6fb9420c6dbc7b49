package mensor.inspection;

import java.util.Collection;
import mensor.weld.Named;

/** What a criterion, or a whole inspection, comes to. */
public enum Verdict implements Named {
    ACCEPT("accept"),
    REJECT("reject"),
    INCOMPLETE("incomplete"),
    NOT_APPLICABLE("not-applicable");

    private final String id;

    Verdict(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** Reject if any rejects, else incomplete if any is, else accept. */
    public static Verdict of(Collection<Verdict> findings) {
        if (findings.contains(REJECT)) {
            return REJECT;
        }
        return findings.contains(INCOMPLETE) ? INCOMPLETE : ACCEPT;
    }
}
