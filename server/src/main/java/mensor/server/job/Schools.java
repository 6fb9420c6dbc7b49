package mensor.server.job;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.plan.SchoolTopic;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The schools of practice: the shop picks one of each topic, and a job may pick another. */
@Service
public class Schools {
    private static final String SETTING = "schools";

    private final ShopSettings settings;
    private final Jobs jobs;
    private final JsonMapper json;

    Schools(ShopSettings settings, Jobs jobs, JsonMapper json) {
        this.settings = settings;
        this.jobs = jobs;
        this.json = json;
    }

    /**
     * A topic on which the trade has more than one school.
     *
     * @param picked the pick that holds; absent where none was made
     */
    public record SchoolView(
            String topic, String title, @Nullable String picked, List<WayView> ways) {}

    /** One way of doing it, and why. */
    public record WayView(String id, String title, String reason) {}

    /** @param version of the shop's picks; absent before the first */
    public record ShopSchools(
            List<SchoolView> topics, @Nullable Long version) {}

    @Transactional(readOnly = true)
    public ShopSchools ofShop() {
        Optional<ShopSettings.Setting> setting = settings.find(SETTING);
        return new ShopSchools(
                shown(picks(setting)),
                setting.map(ShopSettings.Setting::version).orElse(null));
    }

    /** What holds in a job: its own picks, else the shop's. */
    @Transactional(readOnly = true)
    public Map<String, String> in(StoredJob job) {
        Map<String, String> all = new HashMap<>(picks(settings.find(SETTING)));
        all.putAll(jobs.schools(job));
        return Map.copyOf(all);
    }

    /** All topics, with the picks that were made. */
    public static List<SchoolView> shown(Map<String, String> picks) {
        return Arrays.stream(SchoolTopic.values())
                .map(t -> new SchoolView(
                        t.id(),
                        t.title(),
                        t.picked(picks).map(SchoolTopic.School::id).orElse(null),
                        t.schools().stream()
                                .map(s -> new WayView(s.id(), s.title(), s.reason()))
                                .toList()))
                .toList();
    }

    private Map<String, String> picks(Optional<ShopSettings.Setting> setting) {
        return setting.map(s -> json.readValue(s.content(), new TypeReference<Map<String, String>>() {}))
                .orElse(Map.of());
    }

    @Transactional
    public ShopSchools put(Actor actor, Map<String, String> picks, Long version) {
        if (!actor.is(Role.WELDING_ENGINEER, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("the welding engineer or the quality manager picks the shop's schools");
        }
        if (picks == null) {
            throw Refusal.invalid("picks", "the picks are missing");
        }
        try {
            SchoolTopic.check(picks);
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        settings.put(SETTING, json.writeValueAsString(new java.util.TreeMap<>(picks)), version);
        return ofShop();
    }
}
