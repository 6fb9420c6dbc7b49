package mensor.server.joint;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.CriteriaBook;
import mensor.server.welder.Welders;
import mensor.weld.ClockFace;
import mensor.weld.Joint;
import mensor.weld.PassLimits;
import mensor.weld.Procedure;
import mensor.weld.ProcedureCover;
import mensor.weld.ProcedurePass;
import mensor.weld.Qualification;
import mensor.weld.RodTable;
import org.springframework.stereotype.Component;

/** What stands against welding a joint as it is set up: a welder's test, a procedure that does not cover it, a size too small. */
@Component
class RedLines {
    private static final String WELDER_TEST = "d1.1-welder-test";

    private final Welders welders;

    RedLines(Welders welders) {
        this.welders = welders;
    }

    List<String> of(Joint joint, Optional<Procedure> procedure, String stamp, Optional<CriteriaBook> book) {
        List<String> lines = new ArrayList<>();
        procedure.ifPresent(p -> lines.addAll(ProcedureCover.gaps(p, joint)));
        boolean testPiece = book.filter(b -> b.id().equals(WELDER_TEST)).isPresent(); // it is what qualifies
        if (!testPiece && stamp != null && !stamp.isBlank()) {
            Optional<Integer> group = procedure.flatMap(p -> p.passes().stream()
                    .map(ProcedurePass::electrode)
                    .flatMap(e -> RodTable.group(e).stream())
                    .max(Integer::compare));
            boolean backing = joint.backing()
                    .or(() -> procedure.flatMap(Procedure::backing))
                    .orElse(false);
            Qualification.Task task = new Qualification.Task(
                    joint.weld(),
                    joint.position(),
                    group,
                    joint.thinner().thickness(),
                    backing,
                    joint.clock().flatMap(ClockFace::diameter),
                    welders.today());
            welders.redLine(stamp.strip(), task).ifPresent(lines::add);
        }
        book.filter(CriteriaBook::isStructural)
                .flatMap(b -> leastFillet(joint, procedure, b.isCyclic()))
                .ifPresent(lines::add);
        return lines;
    }

    private static Optional<String> leastFillet(Joint joint, Optional<Procedure> procedure, boolean cyclic) {
        if (joint.size().isEmpty()) {
            return Optional.empty();
        }
        boolean lowHydrogen = procedure.map(Procedure::isLowHydrogen).orElse(true);
        var part = lowHydrogen ? joint.thinner() : joint.thicker();
        var size = joint.size().get();
        var least = PassLimits.leastFillet(part.thickness(), cyclic, size.unit())
                .min(joint.thinner().thickness());
        return size.isUnder(least)
                ? Optional.of(
                        "the size " + size.shown() + " is under the least fillet " + least.shownWithUnit() + " for "
                                + part.thickness().shownWithUnit()
                                + (lowHydrogen ? " (thinner part, low-hydrogen rods)" : " (thicker part)")
                                + ": D1.1 7.7 (5.7), medium confidence")
                : Optional.empty();
    }
}
