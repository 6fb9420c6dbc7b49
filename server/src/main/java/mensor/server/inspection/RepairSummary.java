package mensor.server.inspection;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.judge.Reinspection;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;

/**
 * What was done to a weld between two inspections, as it is kept with the later one.
 *
 * @param stretches what was taken off or welded, from the datum as typed
 * @param corrected entries of the inspection before that lie nowhere and were put right
 * @param asIs entries of the inspection before that the Engineer's documents accept as they are
 * @param defects the non-conformance numbers that this inspection answers
 */
public record RepairSummary(
        List<RepairedStretch> stretches, List<UUID> corrected, List<UUID> asIs, List<String> defects) {

    /** From the datum, as typed. */
    public record RepairedStretch(String from, String to) {
        Span span(Unit unit) {
            return new Span(Length.parse(from, unit), Length.parse(to, unit));
        }
    }

    public List<Span> spans(Unit unit) {
        return stretches.stream().map(s -> s.span(unit)).toList();
    }

    String shown(Unit unit) {
        return spans(unit).stream().map(Span::shown).collect(Collectors.joining(", "));
    }

    /** For the core, which knows entries by their index. */
    Reinspection.Repair of(Unit unit, List<EntryEntity> readings, List<EntryEntity> indications) {
        return new Reinspection.Repair(
                spans(unit), indices(indications, corrected), indices(indications, asIs), indices(readings, asIs));
    }

    private static Set<Integer> indices(List<EntryEntity> entries, List<UUID> wanted) {
        Set<Integer> indices = new HashSet<>();
        for (int i = 0; i < entries.size(); i++) {
            if (wanted.contains(entries.get(i).id())) {
                indices.add(i);
            }
        }
        return indices;
    }
}
