package mensor.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Addendum;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.repair.HoldKind;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Named;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import tools.jackson.databind.json.JsonMapper;

/** Refuses what a contract cannot say: an unknown limit, one without a note, one looser than the code wherever it holds. */
final class TermsCheck {
    private final JsonMapper json;

    TermsCheck(JsonMapper json) {
        this.json = json;
    }

    List<FieldProblem> of(ContractTerms terms, CriteriaBook book, Unit unit) {
        List<FieldProblem> problems = new ArrayList<>();
        List<ContractTerms.Limit> limits = terms.allLimits();
        for (int i = 0; i < limits.size(); i++) {
            noted(problems, "terms.limits[" + i + "].note", limits.get(i).note());
        }
        try {
            List<Addendum> addenda = InspectionParts.readAddenda(json.writeValueAsString(limits), unit);
            for (int i = 0; i < addenda.size(); i++) {
                looser(problems, "terms.limits[" + i + "].max", addenda.get(i), book, unit);
            }
        } catch (UnreadableInput e) {
            problems.add(new FieldProblem("terms.limits" + e.field(), e.problem()));
        }
        if (terms.undercut() != null && !terms.undercut().equals("sum") && !terms.isPerToe()) {
            problems.add(new FieldProblem("terms.undercut", "sum or per-toe"));
        }
        if (terms.isPerToe()) {
            noted(problems, "terms.undercutNote", terms.undercutNote());
        }
        if (terms.underrun() != null && !terms.underrun().equals("continuous") && !terms.isUnderrunAlsoIntermittent()) {
            problems.add(new FieldProblem("terms.underrun", "continuous or also-intermittent"));
        }
        if (terms.isUnderrunAlsoIntermittent()) {
            noted(problems, "terms.underrunNote", terms.underrunNote());
        }
        if (terms.isGuarded()) {
            noted(problems, "terms.guardNote", terms.guardNote());
            double factor = terms.factor().doubleValue();
            if (!(factor > 0 && factor <= 4)) {
                problems.add(new FieldProblem("terms.guardFactor", "over 0, at most 4 standard uncertainties"));
            }
        }
        repairs(problems, terms);
        return problems;
    }

    private static void repairs(List<FieldProblem> problems, ContractTerms terms) {
        boolean says = terms.repairCycles() != null
                || terms.repairHolds() != null && !terms.repairHolds().isEmpty();
        if (says) {
            noted(problems, "terms.repairNote", terms.repairNote());
        }
        if (terms.repairCycles() != null && (terms.repairCycles() < 1 || terms.repairCycles() > 9)) {
            problems.add(new FieldProblem("terms.repairCycles", "1 to 9 repairs of one place"));
        }
        if (terms.repairHolds() != null) {
            for (String hold : terms.repairHolds()) {
                if (Named.find(HoldKind.class, hold)
                        .filter(HoldKind.BY_CONTRACT::contains)
                        .isEmpty()) {
                    problems.add(new FieldProblem("terms.repairHolds", "replace, cutting-apart"));
                }
            }
        }
        try {
            terms.constants();
        } catch (InvalidField e) {
            problems.add(new FieldProblem("terms.repairConstants." + e.field(), e.problem()));
        }
    }

    private static void noted(List<FieldProblem> problems, String field, String note) {
        if (note == null || note.isBlank() || note.length() > 120) {
            problems.add(new FieldProblem(field, "say where it stands in the contract, in up to 120 letters"));
        }
    }

    /** Thin and thick, fillet and groove: a limit that tightens none of them tightens nothing. */
    private static void looser(List<FieldProblem> problems, String field, Addendum a, CriteriaBook book, Unit unit) {
        if (a.max().isEmpty()) {
            return;
        }
        List<Optional<Length>> limits = probes(unit)
                .filter(j -> book.refuses(j).isEmpty())
                .map(j -> book.loosest(a.kind(), j, unit))
                .toList();
        // an empty limit means that some weld has none, and is tightened; but a fillet has no reinforcement to limit
        boolean ofOneSort = switch (a.kind()) {
            case REINFORCEMENT_MAX, CONVEXITY_MAX, SIZE_UNDERRUN -> true;
            default -> false;
        };
        Optional<Length> greatest = limits.stream().flatMap(Optional::stream).max(Length::compareTo);
        boolean unlimited = greatest.isEmpty() || !ofOneSort && limits.contains(Optional.<Length>empty());
        if (!unlimited && a.max().get().isOver(greatest.orElseThrow())) {
            problems.add(new FieldProblem(
                    field,
                    a.max().get().shownWithUnit() + " is looser than the code, which accepts at most "
                            + greatest.get().shownWithUnit() + "; a contract limit can only tighten"));
        }
    }

    private static Stream<Joint> probes(Unit unit) {
        Length length = unit.pick(Length.inches(24), Length.millimetres("600"));
        return Stream.of("1/8", "1/2", "1", "3", "10")
                .map(t -> Length.parse(t, Unit.INCH).in(unit))
                .flatMap(t -> Stream.of(
                        new JointBuilder("probe", WeldType.FILLET, Connection.TEE, length)
                                .members(new Member("", t))
                                .size(unit.pick(Length.inches(1, 2), Length.millimetres("12")))
                                .build(),
                        groove(Connection.BUTT, length, t),
                        groove(Connection.TEE, length, t),
                        groove(Connection.PIPE_BUTT, length, t)));
    }

    private static Joint groove(Connection connection, Length length, Length t) {
        return new JointBuilder("probe", WeldType.GROOVE, connection, length)
                .members(new Member("", t))
                .penetration(Penetration.COMPLETE)
                .oneSided(true)
                .build();
    }
}
