package mensor.server.testpiece;

import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.inspection.Indication;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.testpiece.PieceView.AimResultView;
import mensor.server.testpiece.PieceView.FaultView;
import mensor.server.welder.Welders;
import mensor.server.welding.WeldingRecords;
import mensor.testpiece.Drill;
import mensor.testpiece.DrillCheck;
import mensor.testpiece.NextChange;
import mensor.testpiece.PieceDecision;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.PieceStage;
import mensor.testpiece.Purpose;
import mensor.testpiece.Series;
import mensor.testpiece.SpecimenKind;
import mensor.weld.LoggedPass;
import mensor.weld.Named;
import mensor.weld.Pass;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What is known of test pieces, from all that was recorded of them, and what each comes to. */
@Component
class PieceStates {
    private static final double MM_OF_A_FOOT = 304.8;
    private static final double MM_OF_TEN = 100;

    /** A kind of indication as the fault that a learner calls it. */
    private static final Map<String, String> FAULT_OF = Map.of(
            "incomplete-fusion", "lack of fusion",
            "arc-strike", "strike",
            "poor-restart", "restart");

    private final PiecePictureRepository pictures;
    private final TestPieces bench;
    private final WeldingRecords welding;
    private final Specimens specimens;
    private final Ratings ratings;
    private final Drills drills;
    private final People people;
    private final Welders welders;
    private final JsonMapper json;

    PieceStates(
            PiecePictureRepository pictures,
            TestPieces bench,
            WeldingRecords welding,
            Specimens specimens,
            Ratings ratings,
            Drills drills,
            People people,
            Welders welders,
            JsonMapper json) {
        this.pictures = pictures;
        this.bench = bench;
        this.welding = welding;
        this.specimens = specimens;
        this.ratings = ratings;
        this.drills = drills;
        this.people = people;
        this.welders = welders;
        this.json = json;
    }

    /**
     * A piece with all that belongs to it.
     *
     * @param broke what its specimens come to; absent where none was tested
     * @param brokenBy the fault that each failed specimen stands for, by its name
     */
    record State(
            PieceView view,
            PieceView.PieceRow row,
            Map<PieceSetting, String> settings,
            Unit unit,
            Optional<Verdict> broke,
            Map<String, String> brokenBy,
            boolean looksGood) {
        /** What was seen and what the specimens showed. */
        private Map<String, Integer> all() {
            Map<String, Integer> all = new LinkedHashMap<>();
            view.faults().forEach(f -> all.merge(f.fault(), f.count(), Integer::sum));
            brokenBy.values().forEach(fault -> all.merge(fault, 1, Integer::sum));
            return all;
        }

        Series.Piece inSeries() {
            return new Series.Piece(
                    row.drill() == null ? row.kind() : row.drill(),
                    settings,
                    unit,
                    view.score() == null ? OptionalDouble.empty() : OptionalDouble.of(view.score()),
                    all(),
                    broke,
                    brokenBy.size(),
                    Verdict.REJECT.id().equals(view.verdict()) && !view.byAims());
        }
    }

    List<State> of(Actor actor, List<PieceEntity> pieces) {
        Map<UUID, PieceForm> forms = new LinkedHashMap<>();
        Map<UUID, Unit> own = new LinkedHashMap<>();
        for (PieceEntity p : pieces) {
            PieceForm form = json.readValue(p.content(), PieceForm.class);
            forms.put(p.id(), form);
            if (p.jointId() == null) {
                own.put(p.id(), form.unit());
            }
        }
        Collection<UUID> ids = forms.keySet();
        Map<UUID, List<UUID>> shots = ids.isEmpty()
                ? Map.of()
                : pictures.findByPieceIdInAndWithdrawnFalseOrderByAddedAt(ids).stream()
                        .collect(Collectors.groupingBy(
                                PiecePictureEntity::pieceId,
                                Collectors.mapping(PiecePictureEntity::id, Collectors.toList())));
        Map<UUID, List<Specimens.SpecimenView>> tests = specimens.ofPieces(own);
        Map<UUID, List<Ratings.RatingView>> rated = ratings.ofPieces(actor, ids);
        Map<String, String> names = names();
        Map<String, Drill> known = drills.ever();
        return pieces.stream()
                .map(p -> {
                    Optional<TestPieces.AtTheBench> standing =
                            p.jointId() == null ? Optional.empty() : bench.standing(actor, p.jointId());
                    return state(
                            p,
                            forms.get(p.id()),
                            shots.getOrDefault(p.id(), List.of()),
                            standing.map(TestPieces.AtTheBench::tests).orElse(tests.getOrDefault(p.id(), List.of())),
                            Stream.concat(
                                            rated.getOrDefault(p.id(), List.of()).stream(),
                                            standing
                                                    .map(s -> ratings.of(actor, s.inspection()))
                                                    .orElse(List.of())
                                                    .stream())
                                    .toList(),
                            standing,
                            names,
                            known);
                })
                .toList();
    }

    /** Welds that are judged as a welder's test, looked good and were tested, without those that have a piece. */
    List<TestPieces.AtTheBench> welds(Actor actor, Set<UUID> withPiece) {
        return bench.tested(actor).entrySet().stream()
                .filter(e -> !withPiece.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .toList();
    }

    /** A learner by the account, a welder by the stamp. */
    Map<String, String> names() {
        Map<String, String> names = new LinkedHashMap<>();
        welders.all().forEach(w -> names.put(w.form().stamp(), w.form().name()));
        people.all().forEach(a -> names.put(a.login(), a.name()));
        return names;
    }

    private State state(
            PieceEntity p,
            PieceForm form,
            List<UUID> shots,
            List<Specimens.SpecimenView> tests,
            List<Ratings.RatingView> rated,
            Optional<TestPieces.AtTheBench> standing,
            Map<String, String> names,
            Map<String, Drill> known) {
        Unit unit = form.unit();
        Map<PieceSetting, String> settings = settings(p, form, standing);
        Optional<Drill> drill = Optional.ofNullable(form.drill()).map(known::get);
        Optional<DrillCheck> check = drill.map(d -> DrillCheck.of(d, form.measuredRead(), unit));
        List<Specimens.SpecimenView> counted =
                tests.stream().filter(t -> !t.withdrawn() && !t.replace()).toList();
        Optional<Verdict> broke = broke(counted);
        Map<String, String> brokenBy = brokenBy(counted, unit);
        List<FaultView> faults = faults(form, standing, settings, unit);
        Result result = result(form, check, counted, broke, standing);
        Double score = rated.isEmpty()
                ? null
                : Math.round(rated.stream()
                                        .mapToInt(Ratings.RatingView::sum)
                                        .average()
                                        .orElseThrow()
                                * 10)
                        / 10.0;
        boolean inspected = Boolean.TRUE.equals(form.inspected())
                || !faults.isEmpty()
                || !rated.isEmpty()
                || standing.filter(TestPieces.AtTheBench::signed).isPresent();
        PieceStage stage = PieceStage.of(
                settings.keySet().stream().anyMatch(PieceSetting::isOfWelding),
                inspected || !form.measuredRead().isEmpty(),
                !counted.isEmpty(),
                Boolean.TRUE.equals(form.closed())
                        || standing.filter(s -> s.decision().verdict() != Verdict.INCOMPLETE && s.signed())
                                .isPresent());
        boolean byAims =
                standing.isEmpty() && counted.isEmpty() && Purpose.PRACTICE.id().equals(form.purpose());
        String name = names.getOrDefault(form.welder(), form.welder());
        PieceView view = new PieceView(
                p.id(),
                p.version(),
                form,
                name,
                form.kindRead().title(),
                stage.id(),
                p.jointId(),
                standing.map(TestPieces.AtTheBench::inspection).orElse(null),
                standing.map(s -> s.visual().id()).orElse(null),
                form.kindRead().joins(),
                shots,
                tests,
                drill.map(d -> Drills.view(d, false)).orElse(null),
                check.map(DrillCheck::aims).orElse(List.of()).stream()
                        .map(a -> new AimResultView(
                                a.aim().id(),
                                a.aim().title(),
                                a.limit(),
                                a.read().orElse(null),
                                a.verdict().id()))
                        .toList(),
                result.verdict().map(Verdict::id).orElse(null),
                byAims,
                result.why(),
                result.lesson(),
                rated,
                score,
                faults,
                shown(brokenBy),
                null,
                p.isWithdrawn());
        PieceView.PieceRow row = new PieceView.PieceRow(
                p.id(),
                form.number(),
                form.kindRead().title(),
                form.purpose(),
                form.welder(),
                name,
                drill.map(Drill::title).orElse(null),
                form.made(),
                stage.id(),
                view.verdict(),
                byAims,
                result.lesson(),
                score,
                shots.isEmpty() ? null : shots.get(shots.size() - 1));
        return new State(view, row, settings, unit, broke, brokenBy, result.looksGood());
    }

    private record Result(Optional<Verdict> verdict, List<String> why, boolean lesson, boolean looksGood) {}

    /**
     * At the bench the code's and the specimens'; else the drill's aims and the specimens' together. Where neither is there, nothing is
     * said.
     */
    private Result result(
            PieceForm form,
            Optional<DrillCheck> check,
            List<Specimens.SpecimenView> tests,
            Optional<Verdict> broke,
            Optional<TestPieces.AtTheBench> standing) {
        if (standing.isPresent()) {
            return new Result(
                    Optional.of(standing.get().decision().verdict()),
                    standing.get().decision().lines(),
                    standing.get().decision().lesson(),
                    standing.get().visual() == Verdict.ACCEPT);
        }
        boolean inspected = Boolean.TRUE.equals(form.inspected());
        boolean faultless = form.faultsRead().values().stream().allMatch(n -> n == 0);
        Optional<PieceDecision> decision = PieceDecision.withoutBench(
                Named.find(Purpose.class, form.purpose()).orElseThrow(),
                inspected,
                faultless,
                check,
                tests.stream()
                        .map(t -> new PieceDecision.Tested(
                                Named.find(SpecimenKind.class, t.kind()).orElse(SpecimenKind.ROOT_BEND),
                                t.specimen(),
                                specimens.result(t, form.unit())))
                        .toList());
        return new Result(
                decision.map(PieceDecision::verdict),
                decision.map(PieceDecision::lines).orElse(List.of()),
                decision.filter(PieceDecision::lesson).isPresent(),
                inspected && faultless);
    }

    private Map<String, String> brokenBy(List<Specimens.SpecimenView> tests, Unit unit) {
        Map<String, String> by = new LinkedHashMap<>();
        Span somewhere = new Span(Length.zero(unit), Length.zero(unit));
        for (Specimens.SpecimenView t : tests) {
            specimens.defect(t, unit, somewhere).ifPresent(d -> {
                String id = d.kind().id();
                by.put(t.specimen(), FAULT_OF.getOrDefault(id, id.replace('-', ' ')));
            });
        }
        return by;
    }

    private static List<String> shown(Map<String, String> brokenBy) {
        return brokenBy.entrySet().stream()
                .map(e -> e.getKey() + " showed " + e.getValue()
                        + NextChange.remedy(e.getValue()).map(r -> ": " + r).orElse(""))
                .toList();
    }

    private static Optional<Verdict> broke(List<Specimens.SpecimenView> tests) {
        if (tests.isEmpty()) {
            return Optional.empty();
        }
        List<String> all = tests.stream().map(Specimens.SpecimenView::verdict).toList();
        return Optional.of(
                all.contains(Verdict.REJECT.id())
                        ? Verdict.REJECT
                        : all.contains(Verdict.INCOMPLETE.id()) ? Verdict.INCOMPLETE : Verdict.ACCEPT);
    }

    /** What was said of the piece; where it was not, the first pass as it was recorded at the bench. */
    private Map<PieceSetting, String> settings(
            PieceEntity p, PieceForm form, Optional<TestPieces.AtTheBench> standing) {
        Map<PieceSetting, String> all = new EnumMap<>(PieceSetting.class);
        if (standing.isPresent()) {
            welding.open(p.jointId()).loggedPasses().stream()
                    .map(LoggedPass::measured)
                    .findFirst()
                    .ifPresent(pass -> ofPass(pass, all));
        }
        all.putAll(form.settingsRead());
        return all;
    }

    private static void ofPass(Pass pass, Map<PieceSetting, String> all) {
        pass.electrode().ifPresent(v -> all.put(PieceSetting.ROD, v));
        pass.diameter().ifPresent(v -> all.put(PieceSetting.DIAMETER, v.shownWithUnit()));
        pass.amps().ifPresent(v -> all.put(PieceSetting.AMPS, mensor.weld.Range.plain(v)));
        pass.polarity().ifPresent(v -> all.put(PieceSetting.POLARITY, v.id()));
        pass.technique().ifPresent(v -> all.put(PieceSetting.TECHNIQUE, v.id()));
        pass.progression().ifPresent(v -> all.put(PieceSetting.PROGRESSION, v.id()));
    }

    /** As they were counted on the piece; at the bench, what was seen there. */
    private static List<FaultView> faults(
            PieceForm form, Optional<TestPieces.AtTheBench> standing, Map<PieceSetting, String> settings, Unit unit) {
        Map<String, Integer> counted = new LinkedHashMap<>(form.faultsRead());
        counted.values().removeIf(n -> n == 0);
        if (counted.isEmpty()) {
            for (Indication i : standing.map(TestPieces.AtTheBench::seen).orElse(List.of())) {
                String id = i.kind().id();
                counted.merge(FAULT_OF.getOrDefault(id, id.replace('-', ' ')), 1, Integer::sum);
            }
        }
        Optional<Double> length = Optional.ofNullable(settings.get(PieceSetting.LENGTH))
                .map(l -> Length.parse(l, unit).approximateNanometres() / 1e6);
        double per = unit == Unit.INCH ? MM_OF_A_FOOT : MM_OF_TEN;
        return counted.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .map(e -> new FaultView(
                        e.getKey(),
                        e.getValue(),
                        length.map(l -> mensor.weld.Range.plain(Math.round(e.getValue() * per / l * 10) / 10.0)
                                        + (unit == Unit.INCH ? " a foot" : " on 100 mm"))
                                .orElse(null)))
                .toList();
    }
}
