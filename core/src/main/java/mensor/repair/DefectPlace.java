package mensor.repair;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Overlap;
import mensor.inspection.Reading;
import mensor.inspection.ShortWeld;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.length.Span;

/**
 * One rejected place: an indication that decides a rejecting finding, a run of readings that do, or the finding's own stretch
 * where neither does (a fit-up opening). An indication that decides two findings is one place.
 *
 * @param finding the finding's id: a criterion's or an addendum's
 * @param readings neighbours among the readings of their sort, in the order of the weld
 * @param span where it lies; empty where it lies nowhere, or along the whole weld
 */
public record DefectPlace(
        String finding,
        Criterion criterion,
        String kind,
        OptionalInt indication,
        List<Integer> readings,
        Optional<Span> span) {

    public static List<DefectPlace> of(Inspection inspection, Evaluation evaluation) {
        List<DefectPlace> places = new ArrayList<>();
        Set<Integer> indications = new HashSet<>();
        Set<Integer> readings = new HashSet<>();
        for (Finding f : evaluation.rejected()) {
            int before = places.size();
            f.indications().stream().filter(indications::add).forEach(i -> places.add(indication(inspection, f, i)));
            List<Integer> fresh = f.readings().stream().filter(readings::add).toList();
            runs(inspection, f, fresh).forEach(run -> places.add(run(inspection, f, run)));
            if (places.size() == before
                    && f.indications().isEmpty()
                    && f.readings().isEmpty()) {
                places.add(new DefectPlace(f.id(), f.criterion(), f.id(), OptionalInt.empty(), List.of(), f.span()));
            }
        }
        return List.copyOf(places);
    }

    /** What its disposition goes by: the indication itself, an opening that rejects, how the root is reached. */
    public Disposition.Kind dispositionKind(Inspection inspection) {
        return new Disposition.Kind(
                criterion, seen(inspection), isOpening(), inspection.joint().isRootReached());
    }

    public Optional<Indication> seen(Inspection inspection) {
        return indication.isPresent()
                ? Optional.of(inspection.indications().get(indication.getAsInt()))
                : Optional.empty();
    }

    /** A fit-up opening that is too wide: nothing that was read is too small. */
    private boolean isOpening() {
        return criterion == Criterion.SIZE && indication.isEmpty() && readings.isEmpty();
    }

    /** In a line: what it is, on which toe, where, how deep. */
    public String words(Inspection inspection, Finding f) {
        String at = span.map(s -> " at " + inspection.joint().shown(s)).orElse("");
        if (indication.isEmpty()) {
            return f.measured().isEmpty() ? f.reason().words() : f.criterion().title() + " " + f.measured() + at;
        }
        Indication i = inspection.indications().get(indication.getAsInt());
        String toe = i instanceof Undercut u
                ? " on the " + inspection.joint().toeName(u.toe())
                : i instanceof Overlap o ? " on the " + inspection.joint().toeName(o.toe()) : "";
        String measure = i instanceof Undersize u
                ? ", " + u.least().shownWithUnit() + " least"
                : i instanceof ShortWeld s
                        ? ", " + s.missing().shownWithUnit() + " missing"
                        : i instanceof NotAsDrawn n
                                ? ", " + n.what().id().replace('-', ' ')
                                : i.depth().map(d -> ", " + d.shownWithUnit()).orElse("");
        return capital(kind.replace('-', ' ')) + toe + at + measure;
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    private static DefectPlace indication(Inspection inspection, Finding f, int i) {
        Indication seen = inspection.indications().get(i);
        return new DefectPlace(
                f.id(),
                f.criterion(),
                seen.kind().id(),
                OptionalInt.of(i),
                List.of(),
                seen.isPlaced() ? Optional.of(seen.span()) : Optional.empty());
    }

    private static DefectPlace run(Inspection inspection, Finding f, List<Integer> run) {
        Reading first = inspection.readings().get(run.get(0));
        Reading last = inspection.readings().get(run.get(run.size() - 1));
        return new DefectPlace(
                f.id(),
                f.criterion(),
                f.id(),
                OptionalInt.empty(),
                run,
                Optional.of(new Span(first.span().from(), last.span().to())));
    }

    /** Stations that follow each other on the weld with no good one between are one place. */
    private static List<List<Integer>> runs(Inspection inspection, Finding f, List<Integer> deciding) {
        List<Integer> along = IntStream.range(0, inspection.readings().size())
                .filter(i -> inspection.readings().get(i) instanceof Reading.Station)
                .boxed()
                .sorted((a, b) -> inspection
                        .readings()
                        .get(a)
                        .span()
                        .from()
                        .compareTo(inspection.readings().get(b).span().from()))
                .toList();
        List<List<Integer>> runs = new ArrayList<>();
        List<Integer> run = new ArrayList<>();
        for (int i : along) {
            if (deciding.contains(i)) {
                run.add(i);
            } else if (!run.isEmpty()) {
                runs.add(List.copyOf(run));
                run.clear();
            }
        }
        if (!run.isEmpty()) {
            runs.add(List.copyOf(run));
        }
        deciding.stream().filter(i -> !along.contains(i)).forEach(i -> runs.add(List.of(i)));
        return runs;
    }
}
