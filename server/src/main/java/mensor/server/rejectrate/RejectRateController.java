package mensor.server.rejectrate;

import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Rates of rejected places, by welder, procedure, position or electrode. */
@RestController
@RequestMapping("/api/reject-rates")
class RejectRateController {
    private final RejectRates rejectRates;

    RejectRateController(RejectRates rejectRates) {
        this.rejectRates = rejectRates;
    }

    @GetMapping
    RejectRatesView by(@AuthenticationPrincipal Actor actor, @RequestParam(defaultValue = "welder") String by) {
        checkMay(actor);
        return rejectRates.by(by);
    }

    /** @param key left out for what was not recorded */
    @GetMapping("/one")
    RejectRatesView.RejectRate one(
            @AuthenticationPrincipal Actor actor, @RequestParam String by, @RequestParam(required = false) String key) {
        checkMay(actor);
        return rejectRates.one(by, key);
    }

    private static void checkMay(Actor actor) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer sees signed records, not the shop's reject rates");
        }
    }
}
