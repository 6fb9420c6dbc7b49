package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.drawing.StripDrawing;
import mensor.length.Unit;
import mensor.server.gauge.SimulatedGauge;
import mensor.server.joint.Welding;
import mensor.server.joint.WeldingForm;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The bench of one inspection. Every change answers with what the whole inspection now comes to. */
// An answer is made in the transaction of its change, so that it is the one state that the change left.
@RestController
@RequestMapping("/api/inspections/{id}")
class BenchController {
    private final Bench bench;
    private final NewInspections beginnings;
    private final HandOvers handOvers;
    private final ReadinessRecorder readiness;
    private final EntryRecorder recorder;
    private final BenchViews views;
    private final Welding welding;
    private final EntryLines lines;

    BenchController(
            Bench bench,
            NewInspections beginnings,
            HandOvers handOvers,
            ReadinessRecorder readiness,
            EntryRecorder recorder,
            BenchViews views,
            Welding welding,
            EntryLines lines) {
        this.lines = lines;
        this.bench = bench;
        this.beginnings = beginnings;
        this.handOvers = handOvers;
        this.readiness = readiness;
        this.recorder = recorder;
        this.views = views;
        this.welding = welding;
    }

    @AllOptional
    record HandOver(UUID to, String note, String inspectedFrom, String inspectedTo) {}

    record Amendment(String reason) {}

    record WeldingChange(long version, WeldingForm welding) {}

    /** @param version which stands now; another than the one shown means: open it again */
    record Latest(long version) {}

    @GetMapping("/version")
    Latest latest(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return new Latest(bench.version(actor, id));
    }

    @GetMapping
    BenchView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return views.of(bench.open(actor, id), actor.seesSignedOnly());
    }

    @PutMapping("/entries/{entryId}")
    @Transactional
    BenchView put(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestBody Bench.EntryForm form) {
        return views.of(
                recorder.put(actor, id, new Bench.NewEntry(entryId, form.kind(), form.content()), form.version()));
    }

    @PostMapping("/entries")
    @Transactional
    BenchView putAll(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody List<Bench.NewEntry> several) {
        return views.of(recorder.putAll(actor, id, several));
    }

    /** What lines mean, before they are recorded; nothing is stored. */
    @PostMapping("/lines")
    List<EntryLines.LineView> read(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody EntryLines.LinesForm form) {
        return lines.read(bench.joint(actor, id), form);
    }

    @DeleteMapping("/entries/{entryId}")
    @Transactional
    BenchView withdraw(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestParam long version) {
        return views.of(recorder.withdraw(actor, id, entryId, version));
    }

    @PostMapping("/entries/{entryId}/restore")
    @Transactional
    BenchView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID entryId) {
        return views.of(recorder.restore(actor, id, entryId));
    }

    @PutMapping("/conditions")
    @Transactional
    BenchView conditions(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody ConditionsForm form) {
        return views.of(readiness.conditions(actor, id, form));
    }

    /** The joint's welding record, as the bench shows it. */
    @PutMapping("/welding")
    @Transactional
    BenchView welding(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody WeldingChange change) {
        UUID joint = bench.open(actor, id).joint().id();
        welding.record(actor, joint, change.version(), change.welding());
        return views.of(bench.open(actor, id));
    }

    @PostMapping("/handover")
    @Transactional
    BenchView handOver(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody HandOver form) {
        return views.of(handOvers.handOver(
                actor,
                id,
                form.to(),
                form.note(),
                new HandOvers.InspectedStretch(form.inspectedFrom(), form.inspectedTo())));
    }

    @PostMapping("/amend")
    @Transactional
    BenchView amend(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Amendment form) {
        return views.of(beginnings.amend(actor, id, form.reason()));
    }

    /** A squeeze of the simulated gauge on a made-up weld like this one; nothing is stored. */
    @GetMapping("/simulated-gauge")
    SimulatedGauge.GaugeReading read(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam String measure,
            @RequestParam double at,
            @RequestParam long number) {
        if (!SimulatedGauge.reads(measure)) {
            throw Refusal.invalid("measure", "the gauge cannot read this");
        }
        Joint joint = bench.open(actor, id).judged().inspection().joint();
        double leg = joint.size().or(joint::throat).map(StripDrawing::mm).orElse(8.0);
        return new SimulatedGauge(joint.mark(), leg, joint.length().unit() == Unit.INCH).read(measure, at, number);
    }

    /** The look as an open file, to be kept or judged elsewhere. */
    @GetMapping(value = "/document", produces = "application/json")
    String document(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return bench.open(actor, id).judged().document().write();
    }
}
