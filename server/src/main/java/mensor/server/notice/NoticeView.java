package mensor.server.notice;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What a person has not seen yet, the newest first. */
public record NoticeView(List<Notice> notices, int count) {

    /** @param link the page where it is seen to */
    public record Notice(UUID id, NoticeKind kind, String words, String link, Instant at) {}

    /** A mail as the simulated mailbox keeps it. */
    public record KeptMail(String to, String subject, String text, Instant at) {}

    /** @param mode off, simulated, or smtp */
    public record Mailbox(String mode, List<KeptMail> mails) {}
}
