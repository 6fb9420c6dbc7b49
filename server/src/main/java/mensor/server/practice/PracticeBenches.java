package mensor.server.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.length.Unit;
import mensor.practice.PracticeSetting;
import mensor.practice.SimulatedPracticeWeld;
import mensor.server.inspection.Bench;
import mensor.server.inspection.Contract;
import mensor.server.inspection.EntryLines;
import mensor.server.inspection.MadeUpBench;
import mensor.server.inspection.MadeUpWeld;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Opens stored exercises: their weld made anew from its seed, or the real one as it was, with what was recorded. */
@Component
class PracticeBenches {
    private final MadeUpBench benches;
    private final JsonMapper json;

    PracticeBenches(MadeUpBench benches, JsonMapper json) {
        this.benches = benches;
        this.json = json;
    }

    PracticeBench of(ExerciseEntity e) {
        return of(e, contentOf(e));
    }

    PracticeBench of(ExerciseEntity e, ExerciseContent content) {
        if (e.weld() != null) {
            RealWeld real = realWeld(e);
            MadeUpWeld weld = handedOut(e, content, real.criteria(), real.besideTheCode(), real.unit(), real.joint());
            return new PracticeBench(Optional.empty(), content, weld, benches);
        }
        PracticeSetting setting = json.readValue(e.setting(), SettingForm.class).read();
        SimulatedPracticeWeld made = new SimulatedPracticeWeld(setting, e.seed());
        MadeUpWeld weld = handedOut(
                e, content, setting.criteria(), Contract.NONE, setting.units(), InspectionParts.joint(made.joint()));
        return new PracticeBench(Optional.of(new PracticeBench.MadeUp(setting, made)), content, weld, benches);
    }

    private static MadeUpWeld handedOut(
            ExerciseEntity e, ExerciseContent content, String criteria, Contract contract, Unit unit, String joint) {
        return new MadeUpWeld(
                e.id(),
                e.personId(),
                e.isHandedIn(),
                e.version(),
                criteria,
                contract,
                unit,
                joint,
                e.studyId() == null ? "Practice" : "Weld " + (e.place() + 1),
                e.studyId() == null ? "practice" : "agreement study",
                content.entries());
    }

    /** Of a real weld. */
    RealWeld realWeld(ExerciseEntity e) {
        return json.readValue(e.weld(), RealWeld.class);
    }

    ExerciseContent contentOf(ExerciseEntity e) {
        return json.readValue(e.content(), ExerciseContent.class);
    }

    /** As it is stored. */
    String written(ExerciseContent content) {
        return json.writeValueAsString(content);
    }

    /** The entries with what lines of the hand record, judged once. */
    ExerciseContent typed(PracticeBench bench, List<String> lines) {
        List<Bench.NewEntry> entries = new ArrayList<>();
        for (EntryLines.LineView read : MadeUpBench.read(bench.asHandedOut(), new EntryLines.LinesForm(lines, ""))) {
            if (read.problem() != null || read.entries().isEmpty()) {
                throw Refusal.invalid("line", read.problem() == null ? "not understood" : read.problem());
            }
            read.entries().forEach(e -> entries.add(new Bench.NewEntry(UUID.randomUUID(), e.kind(), e.content())));
        }
        return bench.content().with(benches.with(bench.asHandedOut(), entries, null));
    }

    MadeUpBench benches() {
        return benches;
    }

    /** Whether something stands. */
    static boolean isBegun(ExerciseContent content) {
        return content.entries().stream().anyMatch(k -> k.why() == null);
    }
}
