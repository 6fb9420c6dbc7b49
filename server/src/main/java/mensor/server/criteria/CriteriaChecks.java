package mensor.server.criteria;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Criterion;
import mensor.server.people.Actor;
import mensor.server.people.DemoSignIns;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Criteria books as the shop holds them: a book that nobody held against the shop's own copy signs nothing. */
@Service
public class CriteriaChecks {
    private final CriteriaCheckRepository checks;
    private final People people;
    private final DemoSignIns demo;
    private final JsonMapper json;
    private final Clock clock;

    CriteriaChecks(CriteriaCheckRepository checks, People people, DemoSignIns demo, JsonMapper json, Clock clock) {
        this.checks = checks;
        this.people = people;
        this.demo = demo;
        this.json = json;
        this.clock = clock;
    }

    /** @param stands whether it was made of the edition that stands here now */
    public record CriteriaCheckView(
            String copyEdition,
            LocalDate checkedOn,
            String checkedBy,
            List<CriteriaCheckForm.Difference> differed,
            String recordedBy,
            Instant recordedAt,
            boolean stands) {}

    public static CriteriaBook get(String id) {
        return CriteriaBooks.find(id)
                .orElseThrow(() -> Refusal.notFound("there is no such set of acceptance criteria"));
    }

    /** The latest check of the code. */
    @Transactional(readOnly = true)
    public Optional<CriteriaCheckView> check(CriteriaBook book) {
        return checks.findFirstByBookOrderByRecordedAtDesc(book.id())
                .map(c -> new CriteriaCheckView(
                        c.copyEdition(),
                        c.checkedOn(),
                        c.checkedBy(),
                        Arrays.asList(json.readValue(c.differed(), CriteriaCheckForm.Difference[].class)),
                        people.nameOf(c.recordedBy()),
                        c.recordedAt(),
                        c.bookEdition().equals(book.edition())));
    }

    /** Why nothing may be signed by the code; empty where it may. The demo signs, for nothing in it is real. */
    @Transactional(readOnly = true)
    public Optional<String> stop(CriteriaBook book) {
        if (demo.isDemo() || check(book).filter(CriteriaCheckView::stands).isPresent()) {
            return Optional.empty();
        }
        return Optional.of(book.title()
                + " was not yet checked against your own copy: its numbers stand here from memory. The quality manager records"
                + " the check on its page");
    }

    @Transactional
    public void record(Actor actor, CriteriaBook book, CriteriaCheckForm form) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("the quality manager records that criteria were checked");
        }
        List<FieldProblem> problems = new ArrayList<>();
        need(problems, "copyEdition", form.copyEdition(), "the edition of your copy");
        need(problems, "checkedBy", form.checkedBy(), "who checked it against the copy");
        if (form.checkedOn() == null || form.checkedOn().isAfter(LocalDate.now(clock))) {
            problems.add(new FieldProblem("checkedOn", "the day of the check, not in the future"));
        }
        List<CriteriaCheckForm.Difference> differed = form.differed() == null ? List.of() : form.differed();
        for (int i = 0; i < differed.size(); i++) {
            CriteriaCheckForm.Difference d = differed.get(i);
            if (Named.find(Criterion.class, String.valueOf(d.criterion())).isEmpty()) {
                problems.add(new FieldProblem("differed[" + i + "].criterion", "choose the criterion"));
            }
            need(problems, "differed[" + i + "].here", d.here(), "the number that stands here");
            need(problems, "differed[" + i + "].copy", d.copy(), "the number that stands in your copy");
        }
        if (!problems.isEmpty()) {
            throw Refusal.invalid(problems);
        }
        checks.save(new CriteriaCheckEntity(
                book.id(), book.edition(), form, json.writeValueAsString(differed), actor.id(), clock.instant()));
    }

    private static void need(List<FieldProblem> problems, String field, String value, String wanted) {
        if (value == null || value.isBlank() || value.length() > 120) {
            problems.add(new FieldProblem(field, wanted + ", up to 120 letters"));
        }
    }

    /** A line for each number of the shop's own copy that is another than here. */
    public List<String> differing(CriteriaBook book) {
        return check(book).stream()
                .flatMap(c -> c.differed().stream()
                        .map(d -> "Your copy (" + c.copyEdition() + ") has another number for " + d.criterion() + ": "
                                + d.copy() + " where " + d.here() + " stands here."))
                .toList();
    }
}
