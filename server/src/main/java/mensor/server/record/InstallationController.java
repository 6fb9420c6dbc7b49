package mensor.server.record;

import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** This installation's fingerprint, and the other installations whose signatures are taken as verified. */
@RestController
@RequestMapping("/api/installations")
class InstallationController {
    private final Installations installations;

    InstallationController(Installations installations) {
        this.installations = installations;
    }

    @AllOptional
    record TrustForm(String fingerprint, String name) {}

    @GetMapping
    Installations.InstallationsView all() {
        return installations.all();
    }

    @PostMapping
    Installations.InstallationsView trust(@AuthenticationPrincipal Actor actor, @RequestBody TrustForm form) {
        return installations.trust(actor, form.fingerprint(), form.name());
    }

    @AllOptional
    record ConfirmedClock(String reason) {}

    /** That this machine's clock is right, though it is before the last signature. */
    @PostMapping("/clock")
    Installations.InstallationsView confirmClock(
            @AuthenticationPrincipal Actor actor, @RequestBody ConfirmedClock form) {
        return installations.confirmClock(actor, form.reason());
    }

    @DeleteMapping("/{id}")
    Installations.InstallationsView distrust(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return installations.distrust(actor, id);
    }
}
