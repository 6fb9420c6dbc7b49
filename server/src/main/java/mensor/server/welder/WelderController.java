package mensor.server.welder;

import java.util.List;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The welders and their tests. */
@RestController
@RequestMapping("/api/welders")
class WelderController {
    private final Welders welders;

    WelderController(Welders welders) {
        this.welders = welders;
    }

    /** @param version the one that was shown; absent for a new welder */
    @AllOptional
    record WelderChange(WelderForm form, Long version) {}

    @GetMapping
    List<Welders.WelderView> all() {
        return welders.all();
    }

    @PutMapping
    Welders.WelderView put(@AuthenticationPrincipal Actor actor, @RequestBody WelderChange change) {
        return welders.put(actor, change.form(), change.version());
    }
}
