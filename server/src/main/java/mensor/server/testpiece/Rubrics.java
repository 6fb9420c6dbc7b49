package mensor.server.testpiece;

import java.util.List;
import java.util.Optional;
import mensor.server.job.ShopSettings;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Rubric;
import mensor.weld.InvalidField;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The rubric by which the shop rates: its own, else the usual one. */
@Service
public class Rubrics {
    private static final String SETTING = "rubric";

    private final ShopSettings settings;
    private final JsonMapper json;

    Rubrics(ShopSettings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    /** @param version of the shop's own; absent where the usual one holds */
    public record RubricOfShop(
            List<Rubric.Part> parts, boolean own, @Nullable Long version) {}

    /** @param parts none: back to the usual one */
    @AllOptional
    public record RubricForm(List<PartForm> parts, Long version) {}

    @AllOptional
    public record PartForm(String id, String title, Integer most, String full) {}

    Rubric standing() {
        return settings.find(SETTING)
                .map(s -> json.readValue(s.content(), Rubric.class))
                .orElse(Rubric.USUAL);
    }

    @Transactional(readOnly = true)
    public RubricOfShop ofShop() {
        Optional<ShopSettings.Setting> own = settings.find(SETTING);
        Rubric rubric = standing();
        return new RubricOfShop(
                rubric.parts(),
                !rubric.equals(Rubric.USUAL),
                own.map(ShopSettings.Setting::version).orElse(null));
    }

    @Transactional
    public RubricOfShop put(Actor actor, RubricForm form) {
        if (!actor.is(Role.INSTRUCTOR, Role.WELDING_ENGINEER, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden(
                    "the rubric is written by an instructor, the welding engineer or the quality manager");
        }
        if (form.parts() == null) {
            throw Refusal.invalid("parts", "the lines of the rubric are missing");
        }
        try {
            Rubric rubric = form.parts().isEmpty()
                    ? Rubric.USUAL
                    : new Rubric(form.parts().stream()
                            .map(p -> new Rubric.Part(
                                    said(p.id()), said(p.title()), p.most() == null ? 0 : p.most(), said(p.full())))
                            .toList());
            settings.put(SETTING, json.writeValueAsString(rubric), form.version());
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        return ofShop();
    }

    private static String said(String text) {
        return text == null ? "" : text.strip();
    }
}
