package mensor.server.welder;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.Named;
import mensor.weld.Position;
import mensor.weld.Qualification;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The welders' qualifications. */
@Service
public class Welders {
    private final WelderRepository welders;
    private final JsonMapper json;
    private final Clock clock;

    Welders(WelderRepository welders, JsonMapper json, Clock clock) {
        this.welders = welders;
        this.json = json;
        this.clock = clock;
    }

    /** A welder as shown; {@code lapsed} says which tests no longer hold today. */
    public record WelderView(WelderForm form, List<String> lapsed, long version) {}

    @Transactional(readOnly = true)
    public List<WelderView> all() {
        return welders.findAllByOrderByStamp().stream().map(this::view).toList();
    }

    /** @param on the last day on which the test still holds */
    public record RunningOut(String stamp, String name, String test, LocalDate on) {}

    /** Tests that lapse by a day, or have lapsed; each with the last day on which it holds. */
    @Transactional(readOnly = true)
    public List<RunningOut> runningOut(LocalDate by) {
        List<RunningOut> out = new ArrayList<>();
        for (WelderEntity w : welders.findAllByOrderByStamp()) {
            for (Qualification q : read(tests(w))) {
                if (!q.holdsUntil().isAfter(by)) {
                    out.add(new RunningOut(w.stamp(), w.name(), q.position().id() + ", F" + q.group(), q.holdsUntil()));
                }
            }
        }
        return out;
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    private WelderView view(WelderEntity w) {
        List<WelderForm.WelderTest> tests = tests(w);
        List<String> lapsed =
                read(tests).stream().map(q -> q.lapse(today()).orElse("")).toList();
        return new WelderView(new WelderForm(w.stamp(), w.name(), tests), lapsed, w.version());
    }

    private List<WelderForm.WelderTest> tests(WelderEntity w) {
        return Arrays.asList(json.readValue(w.qualifications(), WelderForm.WelderTest[].class));
    }

    /** The red line at set-up; empty where a test covers the task, or where no welder at all is on record here. */
    @Transactional(readOnly = true)
    public Optional<String> redLine(String stamp, Qualification.Task task) {
        if (welders.count() == 0) {
            return Optional.empty();
        }
        List<Qualification> tests =
                welders.findById(stamp).map(w -> read(tests(w))).orElse(List.of());
        return Qualification.redLine(stamp, tests, task);
    }

    /** @param version the one that was shown; absent for a new welder */
    @Transactional
    public WelderView put(Actor actor, WelderForm form, Long version) {
        if (!actor.is(Role.QUALITY_MANAGER, Role.WELDING_ENGINEER)) {
            throw Refusal.forbidden("welders' tests are kept by the quality manager or the welding engineer");
        }
        if (form == null) {
            throw Refusal.invalid("form", "the welder is missing");
        }
        String stamp = form.stamp() == null ? "" : form.stamp().strip();
        if (!stamp.matches("\\S{1,60}")) {
            throw Refusal.invalid("stamp", "a stamp without spaces, as it is struck beside the weld");
        }
        if (form.name() == null || form.name().isBlank() || form.name().length() > 120) {
            throw Refusal.invalid("name", "a name of up to 120 letters is required");
        }
        WelderEntity welder = welders.findById(stamp).orElse(null);
        if (welder != null && (version == null || welder.version() != version)) {
            throw version == null
                    ? Refusal.invalid("stamp", "\"" + stamp + "\" is taken")
                    : Refusal.stale("somebody changed this welder meanwhile; check again", null);
        }
        if (welder == null) {
            welder = new WelderEntity(stamp);
        }
        List<WelderForm.WelderTest> tests = form.tests() == null ? List.of() : form.tests();
        read(tests);
        welder.set(form.name().strip(), json.writeValueAsString(tests));
        return view(welders.saveAndFlush(welder));
    }

    private static List<Qualification> read(List<WelderForm.WelderTest> tests) {
        List<Qualification> read = new ArrayList<>();
        for (int i = 0; i < tests.size(); i++) {
            String at = "tests[" + i + "].";
            WelderForm.WelderTest t = tests.get(i);
            Position position = Named.find(Position.class, String.valueOf(t.position()))
                    .orElseThrow(
                            () -> Refusal.invalid(at + "position", "the position of the test, 1F to 6F or 1G to 6G"));
            if (t.tested() == null) {
                throw Refusal.invalid(at + "tested", "the day of the test is required");
            }
            try {
                read.add(new Qualification(
                        t.group() == null ? 0 : t.group(),
                        position,
                        length(at + "thickest", t.thickest()),
                        Boolean.TRUE.equals(t.backing()),
                        length(at + "leastDiameter", t.leastDiameter()),
                        t.tested(),
                        t.lastUsed() == null ? t.tested() : t.lastUsed()));
            } catch (InvalidField e) {
                throw Refusal.invalid(at + e.field(), e.problem());
            }
        }
        return read;
    }

    private static Optional<Length> length(String field, String said) {
        try {
            return Optional.ofNullable(said).filter(s -> !s.isBlank()).map(s -> Length.parse(s, Unit.INCH));
        } catch (LengthFormatException e) {
            throw Refusal.invalid(field, e.getMessage());
        }
    }
}
