package mensor.server.job;

import java.util.Map;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The topics on which the trade has more than one school, and what the shop picked. */
@RestController
@RequestMapping("/api/schools")
class SchoolController {
    private final Schools schools;

    SchoolController(Schools schools) {
        this.schools = schools;
    }

    /** @param version the one that was shown; absent before the first pick */
    @AllOptional
    record SchoolPicks(Map<String, String> picks, Long version) {}

    @GetMapping
    Schools.ShopSchools ofShop() {
        return schools.ofShop();
    }

    @PutMapping
    Schools.ShopSchools put(@AuthenticationPrincipal Actor actor, @RequestBody SchoolPicks picks) {
        return schools.put(actor, picks.picks(), picks.version());
    }
}
