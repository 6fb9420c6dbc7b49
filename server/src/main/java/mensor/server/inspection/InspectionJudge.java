package mensor.server.inspection;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.exchange.InspectionDocument;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.judge.Evaluation;
import mensor.judge.Guard;
import mensor.judge.Judge;
import mensor.judge.Reinspection;
import mensor.judge.Terms;
import mensor.length.Unit;
import mensor.server.job.ContractTerms;
import mensor.server.joint.StoredJoint;
import mensor.server.welding.WeldingRecords;
import mensor.weld.Joint;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Joins an inspection's entries, its joint as fitted up, what was used and what the contract says, and has the core judge it. */
@Component
class InspectionJudge {
    private final InspectionRepository inspections;
    private final EntryRepository entries;
    private final WeldingRecords welding;
    private final Contracts contracts;
    private final StandingConditions answers;
    private final SignedDisplay shown;
    private final TypedEntries typed;
    private final JsonMapper json;

    InspectionJudge(
            InspectionRepository inspections,
            EntryRepository entries,
            WeldingRecords welding,
            Contracts contracts,
            StandingConditions answers,
            SignedDisplay shown,
            TypedEntries typed,
            JsonMapper json) {
        this.inspections = inspections;
        this.entries = entries;
        this.welding = welding;
        this.contracts = contracts;
        this.answers = answers;
        this.shown = shown;
        this.typed = typed;
        this.json = json;
    }

    /** The standing entries of one inspection, by what they say. */
    private final class EntryCollection implements Entry.Cases<Void> {
        private final List<EntryEntity> readings = new ArrayList<>();
        private final List<Entry> read = new ArrayList<>();
        private final List<EntryEntity> indications = new ArrayList<>();
        private final List<Entry> seen = new ArrayList<>();
        private final Set<Criterion> clear = EnumSet.noneOf(Criterion.class);
        private final List<Cover> covered = new ArrayList<>();
        private final Set<String> gauges = new LinkedHashSet<>();
        private EntryEntity stored;

        EntryCollection(List<EntryEntity> entries, Unit unit) {
            for (EntryEntity e : entries) {
                if (!e.isWithdrawn()) {
                    stored = e;
                    Entry said = typed.of(e, unit);
                    said.gauge().ifPresent(gauges::add);
                    said.answer(this);
                }
            }
        }

        @Override
        public Void read(Entry.Read entry) {
            readings.add(stored);
            read.add(entry);
            return null;
        }

        @Override
        public Void seen(Entry.Seen entry) {
            indications.add(stored);
            seen.add(entry);
            return null;
        }

        @Override
        public Void noneSeen(Entry.NoneSeen entry) {
            clear.add(entry.criterion());
            return null;
        }

        @Override
        public Void covered(Entry.Covered entry) {
            covered.add(entry.cover());
            return null;
        }

        List<Reading> readings(Contract contract) {
            return read.stream()
                    .map(e -> ((Entry.Read) withGauge(e, contract)).reading())
                    .toList();
        }

        List<Indication> indications(Contract contract) {
            return seen.stream()
                    .map(e -> ((Entry.Seen) withGauge(e, contract)).indication())
                    .toList();
        }

        private Entry withGauge(Entry e, Contract contract) {
            return e.gauge()
                    .flatMap(contract::blur)
                    .map(e::noFinerThan)
                    .orElseGet(() ->
                            e.gauge().flatMap(contract::division).map(e::readTo).orElse(e));
        }
    }

    /** An inspection read, not judged yet; after a repair both inspections as one. */
    private record Inputs(
            InspectionDocument document,
            Inspection inspection,
            Terms terms,
            List<EntryEntity> readings,
            List<EntryEntity> indications,
            List<EntryEntity> before,
            WeldingRecords.State welding,
            ConditionsForm conditions,
            Contract contract,
            List<String> notes,
            Optional<Precedent> followed) {}

    /** What a re-inspection is made of. */
    private record Precedent(Reinspection.Combination joined, Inspection before, Inspection fresh) {}

    /** As it stands: of a signed inspection what was signed, of an open one what the code says now. */
    InspectionResult of(StoredJoint joint, StoredInspection inspection, List<EntryEntity> entries) {
        Optional<SignedDisplay.AsSigned> signed = shown.of(inspection, joint.criteria(), joint.unit());
        Inputs g = gather(joint, inspection, entries);
        return judged(g, signed.map(SignedDisplay.AsSigned::evaluation).orElseGet(() -> evaluate(g)), signed);
    }

    /** As if these were recorded too; a "none seen" gives way to them. */
    Evaluation with(
            StoredJoint joint, StoredInspection inspection, List<EntryEntity> entries, List<Bench.NewEntry> more) {
        List<EntryEntity> all = new ArrayList<>(entries);
        for (Bench.NewEntry e : more) {
            ReadEntry read = ReadEntry.of(e, () -> welding.open(joint).asFitted(), joint.unit());
            if (read.said() instanceof Entry.Seen seen) {
                all.removeIf(k -> typed.of(k, joint.unit()) instanceof Entry.NoneSeen none
                        && none.criterion() == seen.indication().criterion());
            }
            all.add(new EntryEntity(
                    e.id(),
                    inspection.id(),
                    entries.size() + all.size(),
                    e.kind(),
                    read.content(),
                    inspection.holder(),
                    java.time.Instant.EPOCH));
        }
        return evaluate(gather(joint, inspection, all));
    }

    /** By the present tables, also where something else was signed. */
    InspectionResult today(StoredJoint joint, StoredInspection inspection, List<EntryEntity> entries) {
        Inputs g = gather(joint, inspection, entries);
        return judged(g, evaluate(g), Optional.empty());
    }

    private static Evaluation evaluate(Inputs g) {
        return g.followed()
                .map(f -> Reinspection.evaluate(
                        f.joined(),
                        f.before(),
                        f.fresh(),
                        g.conditions().beside(),
                        g.document().book(),
                        g.terms()))
                .orElseGet(() -> Judge.evaluate(g.inspection(), g.document().book(), g.terms()));
    }

    private static InspectionResult judged(Inputs g, Evaluation evaluation, Optional<SignedDisplay.AsSigned> signed) {
        return new InspectionResult(
                g.document(),
                g.inspection(),
                g.terms(),
                evaluation,
                g.readings(),
                g.indications(),
                g.before(),
                g.welding(),
                g.conditions(),
                g.contract(),
                signed.map(SignedDisplay.AsSigned::notes).orElse(g.notes()),
                signed);
    }

    private Inputs gather(StoredJoint joint, StoredInspection inspection, List<EntryEntity> entries) {
        Inputs own = own(joint, inspection, entries);
        if (inspection.follows() == null) {
            return own;
        }
        InspectionEntity rejected = inspections.findById(inspection.follows()).orElseThrow();
        Inputs before = gather(joint, rejected, this.entries.findByInspectionIdOrderBySequence(rejected.id()));
        Reinspection.Repair repair = json.readValue(inspection.repaired(), RepairSummary.class)
                .of(joint.unit(), before.readings(), before.indications());
        Reinspection.Combination joined = Reinspection.join(before.inspection(), repair, own.inspection());
        List<EntryEntity> readings = entries(joined.readings(), before.readings(), own.readings());
        List<EntryEntity> indications = entries(joined.indications(), before.indications(), own.indications());
        return new Inputs(
                InspectionDocument.of(joined.inspection(), own.document().book()),
                joined.inspection(),
                joined.terms(before.terms(), own.terms()),
                readings,
                indications,
                Stream.concat(readings.stream(), indications.stream())
                        .filter(e -> !e.inspectionId().equals(inspection.id()))
                        .distinct()
                        .toList(),
                own.welding(),
                own.conditions(),
                own.contract(),
                own.notes(),
                Optional.of(new Precedent(joined, before.inspection(), own.inspection())));
    }

    private static List<EntryEntity> entries(
            List<Reinspection.Source> sources, List<EntryEntity> before, List<EntryEntity> own) {
        return sources.stream()
                .map(s -> s.before() ? before.get(s.index()) : own.get(s.index()))
                .toList();
    }

    /** Of a weld that stands in no job, made as nobody recorded. */
    InspectionResult alone(StoredJoint joint, Contract contract, ConditionsForm conditions, List<EntryEntity> entries) {
        Inputs g = inputs(
                joint,
                WeldingRecords.none(joint),
                new EntryCollection(entries, joint.unit()),
                contract,
                conditions,
                true);
        return judged(g, evaluate(g), Optional.empty());
    }

    private Inputs own(StoredJoint joint, StoredInspection inspection, List<EntryEntity> entries) {
        EntryCollection gathered = new EntryCollection(entries, joint.unit());
        Contract contract = contracts.of(joint, inspection, gathered.gauges);
        ConditionsForm conditions = answers.of(joint, inspection, contract);
        // an inspection signed before light and access were asked keeps the verdict it was signed with
        return inputs(
                joint,
                welding.open(joint),
                gathered,
                contract,
                conditions,
                !inspection.isSigned() || conditions.saysOfViewing());
    }

    private Inputs inputs(
            StoredJoint joint,
            WeldingRecords.State made,
            EntryCollection gathered,
            Contract contract,
            ConditionsForm conditions,
            boolean viewing) {
        List<String> notes = new ArrayList<>();
        Joint weld = made.asFitted();
        CriteriaBook book = CriteriaBooks.find(joint.criteria()).orElseThrow();
        Inspection seen = new Inspection(
                weld,
                joint.unit(),
                conditions.conditions(),
                gathered.clear,
                false,
                gathered.covered,
                gathered.readings(contract),
                gathered.indications(contract),
                contracts.addenda(weld, joint.unit(), book, contract.terms(), notes),
                contract.terms().choices(),
                welding.weldingRecord(made));
        Judge.check(seen, book);
        InspectionDocument document = InspectionDocument.of(seen, book);
        if (viewing) {
            seen = seen.seenUnder(conditions.viewing());
        }
        Terms terms = new Terms(
                guard(contract, gathered),
                contract.deviations().stream().map(d -> d.read(joint.unit())).toList());
        return new Inputs(
                document,
                seen,
                terms,
                gathered.readings,
                gathered.indications,
                List.of(),
                made,
                conditions,
                contract,
                notes,
                Optional.empty());
    }

    private static Optional<Guard> guard(Contract contract, EntryCollection gathered) {
        ContractTerms terms = contract.terms();
        return terms.isGuarded()
                ? Optional.of(new Guard(
                        terms.factor(), contract.uncertainties(gathered.read), contract.uncertainties(gathered.seen)))
                : Optional.empty();
    }
}
