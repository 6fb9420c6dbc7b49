package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;

/** Whether a procedure covers a weld: each line says what it does not cover, with both numbers. */
public final class ProcedureCover {
    private ProcedureCover() {}

    public static List<String> gaps(Procedure procedure, Joint joint) {
        List<String> gaps = new ArrayList<>();
        String name = procedure.name();
        if (!procedure.welds().isEmpty() && !procedure.welds().contains(joint.weld())) {
            gaps.add(name + " is not for a " + joint.weld().id());
        }
        if (!procedure.connections().isEmpty() && !procedure.connections().contains(joint.connection())) {
            gaps.add(name + " is not for a " + joint.connection().id().replace('-', ' ') + ", but for: "
                    + String.join(
                            ", ",
                            procedure.connections().stream()
                                    .sorted()
                                    .map(Named::id)
                                    .toList()));
        }
        Length thin = joint.thinner().thickness();
        Length thick = joint.thicker().thickness();
        procedure
                .thinnest()
                .filter(thin::isUnder)
                .ifPresent(l -> gaps.add(thin.shownWithUnit() + " thick is under the " + l.shownWithUnit() + " that "
                        + name + " begins at"));
        procedure
                .thickest()
                .filter(thick::isOver)
                .ifPresent(l -> gaps.add(thick.shownWithUnit() + " thick is over the " + l.shownWithUnit() + " that "
                        + name + " ends at"));
        joint.position()
                .filter(p -> !procedure.positions().isEmpty()
                        && !procedure.positions().contains(p))
                .ifPresent(p -> gaps.add("position " + p.id() + " is not among those of " + name + ": "
                        + String.join(
                                ", ",
                                procedure.positions().stream()
                                        .sorted()
                                        .map(Named::id)
                                        .toList())));
        if (joint.isFillet() && procedure.passes().size() == 1) {
            joint.size().ifPresent(size -> singlePass(procedure, joint, size).ifPresent(gaps::add));
        }
        if (joint.oneSided() && procedure.backing().orElse(false)) {
            gaps.add(name + " is welded onto a backing; this weld has none");
        }
        return List.copyOf(gaps);
    }

    private static Optional<String> singlePass(Procedure procedure, Joint joint, Length size) {
        Length most = procedure
                .passes()
                .get(0)
                .layer()
                .or(() -> joint.position().map(p -> PassLimits.singlePass(p, size.unit())))
                .orElse(null);
        return most != null && size.isOver(most)
                ? Optional.of(procedure.name() + " lays a single pass of at most " + most.shownWithUnit()
                        + "; the size is " + size.shownWithUnit())
                : Optional.empty();
    }
}
