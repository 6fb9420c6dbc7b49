package mensor.server.practice;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.study.Studies;
import mensor.server.study.StudyView;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Made-up welds to practice on. */
@RestController
@RequestMapping("/api")
class ExerciseController {
    private final Exercises exercises;
    private final Eyes eyes;
    private final AgreementStudies agreements;
    private final Studies studies;
    private final Risks risks;

    ExerciseController(Exercises exercises, Eyes eyes, AgreementStudies agreements, Studies studies, Risks risks) {
        this.exercises = exercises;
        this.eyes = eyes;
        this.agreements = agreements;
        this.studies = studies;
        this.risks = risks;
    }

    /** What somebody's handed-in practice says of the eye. */
    @GetMapping("/eyes/{person}")
    EyeView eye(@AuthenticationPrincipal Actor actor, @PathVariable UUID person) {
        return eyes.of(actor, person);
    }

    /** Everybody's together. */
    @GetMapping("/eyes")
    EyeView everybodysEye(@AuthenticationPrincipal Actor actor) {
        return eyes.of(actor, null);
    }

    /** What is signed wrongly with a studied gauge; the numbers are in the study's units. */
    @GetMapping("/studies/{id}/risk")
    RiskView risk(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam double limit,
            @RequestParam(defaultValue = "false") boolean least,
            @RequestParam(required = false) Double mean,
            @RequestParam(required = false) Double sd,
            @RequestParam(defaultValue = "0") double guard,
            @RequestParam(required = false) String kind) {
        return risks.of(actor, id, new Risks.AskedRisk(limit, least, limit, mean, sd, guard, kind));
    }

    /** The welds of the shop that an agreement study may take. */
    @GetMapping("/studies/judgeable-welds")
    List<AgreementStudies.JudgeableWeldView> judgeable(@AuthenticationPrincipal Actor actor) {
        return agreements.judgeable(actor);
    }

    /** What is signed wrongly, criterion by criterion, of a joint as it is typed. */
    @GetMapping("/studies/risks")
    RisksView risks(
            @AuthenticationPrincipal Actor actor,
            @RequestParam String criteria,
            @RequestParam String joint,
            @RequestParam String units,
            @RequestParam String thickness,
            @RequestParam(required = false) String size,
            @RequestParam(defaultValue = "0") double guard) {
        return risks.byCriterion(actor, new TypicalJoint(criteria, joint, units, thickness, size), guard);
    }

    /** Gives the same made-up welds to several people, each twice, shuffled. */
    @PutMapping("/studies/{id}/agreement")
    StudyView beginAgreement(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestBody AgreementStudies.AgreementForm form) {
        agreements.begin(actor, id, form);
        return studies.open(id);
    }

    /** @param at mm from the datum */
    @AllOptional
    record GaugeAtForm(String gauge, String toe, Double at) {}

    /** A stretch in view, mm from the datum, for so many seconds. */
    @AllOptional
    record LookForm(Double from, Double to, Long seconds) {}

    @GetMapping("/exercises")
    List<ExerciseView.ExerciseRowView> all(
            @AuthenticationPrincipal Actor actor, @RequestParam(defaultValue = "false") boolean others) {
        return exercises.all(actor, others);
    }

    @PutMapping("/exercises/{id}")
    ExerciseView begin(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody SettingForm setting) {
        return exercises.begin(actor, id, setting);
    }

    @GetMapping("/exercises/{id}")
    ExerciseView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.open(actor, id);
    }

    @PostMapping("/exercises/{id}/gauged")
    ExerciseView gauge(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody GaugeAtForm form) {
        if (form.at() == null) {
            throw Refusal.invalid("at", "where is it held?");
        }
        return exercises.gauge(actor, id, form.gauge(), form.toe(), form.at());
    }

    @PostMapping("/exercises/{id}/looks")
    void look(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody LookForm form) {
        if (form.from() == null || form.to() == null || form.seconds() == null) {
            throw Refusal.invalid("from", "a stretch and how long it was in view are required");
        }
        exercises.look(actor, id, form.from(), form.to(), form.seconds());
    }

    @PostMapping("/exercises/{id}/hand-in")
    ExerciseView handIn(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.handIn(actor, id);
    }

    @GetMapping(value = "/exercises/{id}/surface", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] surface(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.surface(actor, id);
    }
}
