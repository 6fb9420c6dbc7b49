package mensor.server.rejectrate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.cause.CauseTrace;
import mensor.drawing.StripDrawing;
import mensor.server.cause.DefectCauses;
import mensor.server.inspection.Bench;
import mensor.server.inspection.InspectionSigned;
import mensor.server.inspection.StoredInspection;
import mensor.server.record.Signatures;
import mensor.server.welding.WeldingRecords;
import mensor.weld.ProcedurePass;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Counts the fabricator's first look at each weld once, for a repair does not undo a reject; an amended look takes the place of the one before it. */
@Service
class Tallies {
    private final InspectionTallyRepository tallies;
    private final Bench bench;
    private final DefectCauses tracing;
    private final Signatures signatures;
    private final TransactionTemplate transactions;

    Tallies(
            InspectionTallyRepository tallies,
            Bench bench,
            DefectCauses tracing,
            Signatures signatures,
            TransactionTemplate transactions) {
        this.tallies = tallies;
        this.bench = bench;
        this.tracing = tracing;
        this.signatures = signatures;
        this.transactions = transactions;
    }

    @EventListener
    @Transactional
    public void signed(InspectionSigned inspection) {
        count(bench.openAsItStands(inspection.inspectionId()));
    }

    /** Looks that were signed before they were counted. */
    @EventListener(ApplicationReadyEvent.class)
    public void catchUp() {
        for (UUID inspection : tallies.notCounted(StoredInspection.QC)) {
            transactions.executeWithoutResult(t -> count(bench.openAsItStands(inspection)));
        }
    }

    private void count(Bench.State o) {
        if (!o.inspection().capacity().equals(StoredInspection.QC)
                || o.inspection().cycle() > 0) {
            return;
        }
        tallies.deleteByJointId(o.joint().id());
        tallies.flush();
        InspectionTally tally = new InspectionTally(
                o.inspection().id(),
                o.joint().id(),
                StripDrawing.mm(o.judged().inspection().joint().weldedLength()),
                signatures.of(o.inspection().id()).orElseThrow().at());
        tally.made(
                o.joint().welder(),
                o.joint().wps(),
                o.joint().position(),
                electrode(o.judged().welding()));
        record Occurrence(String trouble, String cause) {}
        Map<Occurrence, Integer> found = new LinkedHashMap<>();
        for (CauseTrace t : tracing.traced(o)) {
            String cause = t.leading().map(c -> c.cause().id()).orElse(null);
            found.merge(new Occurrence(t.situation().trouble(), cause), 1, Integer::sum);
        }
        found.forEach((f, n) -> tally.found(f.trouble(), f.cause(), n));
        tallies.save(tally);
    }

    /** The rods that were recorded, else those of the procedure; several are one entry of their own. */
    private static String electrode(WeldingRecords.State made) {
        List<String> recorded = made.loggedPasses().stream()
                .flatMap(p -> p.pass().electrode().stream())
                .distinct()
                .sorted()
                .toList();
        Stream<String> rods = recorded.isEmpty()
                ? made.procedure().stream()
                        .flatMap(p -> p.passes().stream())
                        .map(ProcedurePass::electrode)
                        .distinct()
                        .sorted()
                : recorded.stream();
        String all = rods.collect(Collectors.joining(", "));
        return all.isEmpty() ? null : all;
    }
}
