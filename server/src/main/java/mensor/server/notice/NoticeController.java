package mensor.server.notice;

import java.time.Instant;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What one was told of; and the simulated mailbox, for the quality manager. */
@RestController
class NoticeController {
    private final Notices notices;
    private final Mails mails;

    NoticeController(Notices notices, Mails mails) {
        this.notices = notices;
        this.mails = mails;
    }

    @AllOptional
    record SeenForm(Instant upTo) {}

    @GetMapping("/api/notices")
    NoticeView unseen(@AuthenticationPrincipal Actor actor) {
        return notices.unseen(actor.id());
    }

    @PostMapping("/api/notices/{id}/seen")
    void see(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        notices.see(actor.id(), id);
    }

    /** All that came up to a moment. */
    @PostMapping("/api/notices/seen")
    void seeAll(@AuthenticationPrincipal Actor actor, @RequestBody SeenForm form) {
        if (form.upTo() == null) {
            throw Refusal.invalid("upTo", "the moment of the newest notice that was shown");
        }
        notices.seeAll(actor.id(), form.upTo());
    }

    @GetMapping("/api/mailbox")
    NoticeView.Mailbox mailbox(@AuthenticationPrincipal Actor actor) {
        if (!actor.managesPeople()) {
            throw Refusal.forbidden("the quality manager reads the simulated mailbox");
        }
        return mails.mailbox();
    }
}
