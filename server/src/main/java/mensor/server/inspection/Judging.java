package mensor.server.inspection;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.exchange.InspectionDocument;
import mensor.exchange.InspectionParts;
import mensor.judge.Evaluation;
import mensor.judge.Guard;
import mensor.judge.Judge;
import mensor.judge.LookAgain;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.look.Addendum;
import mensor.look.Inspection;
import mensor.server.contract.Deviations;
import mensor.server.contract.Waivers;
import mensor.server.gauge.Gauges;
import mensor.server.inspection.EntryEntity.Kind;
import mensor.server.job.ContractTerms;
import mensor.server.job.Jobs;
import mensor.server.joint.JointEntity;
import mensor.server.making.Making;
import mensor.weld.Joint;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Joins an inspection's entries, its joint as fitted up, what was used and what the contract says, and has the core judge it. */
@Component
class Judging {
    private final InspectionRepository inspections;
    private final EntryRepository entries;
    private final Making making;
    private final Gauges gauges;
    private final Jobs jobs;
    private final Deviations deviations;
    private final Waivers waivers;
    private final ShownAsSigned shown;
    private final JsonMapper json;
    private final Clock clock;

    Judging(
            InspectionRepository inspections,
            EntryRepository entries,
            Making making,
            Gauges gauges,
            Jobs jobs,
            Deviations deviations,
            Waivers waivers,
            ShownAsSigned shown,
            JsonMapper json,
            Clock clock) {
        this.inspections = inspections;
        this.entries = entries;
        this.making = making;
        this.gauges = gauges;
        this.jobs = jobs;
        this.deviations = deviations;
        this.waivers = waivers;
        this.shown = shown;
        this.json = json;
        this.clock = clock;
    }

    /** Entries of one kind with what each says. */
    private static final class Told {
        private final List<EntryEntity> entries = new ArrayList<>();
        private final List<EntryContent> contents = new ArrayList<>();

        void add(EntryEntity e, EntryContent c) {
            entries.add(e);
            contents.add(c);
        }

        List<String> inFormat(Contract contract, boolean reading) {
            List<String> documents = new ArrayList<>();
            for (int i = 0; i < entries.size(); i++) {
                String gauge = contents.get(i).gauge();
                String content = entries.get(i).content();
                documents.add(
                        gauge == null ? content : InspectionParts.measured(content, reading, contract.division(gauge)));
            }
            return documents;
        }
    }

    /** A look read, not judged yet; after a repair both looks as one. */
    private record Gathered(
            InspectionDocument document,
            Inspection look,
            Terms terms,
            List<EntryEntity> readings,
            List<EntryEntity> indications,
            List<EntryEntity> before,
            Making.Opened making,
            ConditionsForm conditions,
            Contract contract,
            List<String> notes,
            Optional<Followed> followed) {}

    /** What a look after a repair is made of. */
    private record Followed(LookAgain.Joined joined, Inspection before, Inspection fresh) {}

    /** As it stands: of a signed inspection what was signed, of an open one what the book says now. */
    JudgedLook of(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries) {
        Optional<ShownAsSigned.AsSigned> signed = shown.of(inspection, joint.criteria(), joint.unit());
        Gathered g = gather(joint, inspection, entries);
        return judged(g, signed.map(ShownAsSigned.AsSigned::evaluation).orElseGet(() -> evaluate(g)), signed);
    }

    /** By the present tables, also where something else was signed. */
    JudgedLook today(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries) {
        Gathered g = gather(joint, inspection, entries);
        return judged(g, evaluate(g), Optional.empty());
    }

    private static Evaluation evaluate(Gathered g) {
        return g.followed()
                .map(f -> LookAgain.evaluate(
                        f.joined(),
                        f.before(),
                        f.fresh(),
                        g.conditions().beside(),
                        g.document().book(),
                        g.terms()))
                .orElseGet(() -> Judge.evaluate(g.look(), g.document().book(), g.terms()));
    }

    private static JudgedLook judged(Gathered g, Evaluation evaluation, Optional<ShownAsSigned.AsSigned> signed) {
        return new JudgedLook(
                g.document(),
                g.look(),
                g.terms(),
                evaluation,
                g.readings(),
                g.indications(),
                g.before(),
                g.making(),
                g.conditions(),
                g.contract(),
                signed.map(ShownAsSigned.AsSigned::notes).orElse(g.notes()),
                signed);
    }

    private Gathered gather(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries) {
        Gathered own = own(joint, inspection, entries);
        if (inspection.follows() == null) {
            return own;
        }
        InspectionEntity rejected = inspections.findById(inspection.follows()).orElseThrow();
        Gathered before = gather(joint, rejected, this.entries.findByInspectionIdOrderBySequence(rejected.id()));
        LookAgain.Repair repair = json.readValue(inspection.repaired(), RepairedSince.class)
                .of(joint.unit(), before.readings(), before.indications());
        LookAgain.Joined joined = LookAgain.join(before.look(), repair, own.look());
        List<EntryEntity> readings = entries(joined.readings(), before.readings(), own.readings());
        List<EntryEntity> indications = entries(joined.indications(), before.indications(), own.indications());
        return new Gathered(
                InspectionDocument.of(joined.look(), own.document().book()),
                joined.look(),
                joined.terms(before.terms(), own.terms()),
                readings,
                indications,
                Stream.concat(readings.stream(), indications.stream())
                        .filter(e -> !e.inspectionId().equals(inspection.id()))
                        .distinct()
                        .toList(),
                own.making(),
                own.conditions(),
                own.contract(),
                own.notes(),
                Optional.of(new Followed(joined, before.look(), own.look())));
    }

    private static List<EntryEntity> entries(
            List<LookAgain.Source> sources, List<EntryEntity> before, List<EntryEntity> own) {
        return sources.stream()
                .map(s -> s.before() ? before.get(s.index()) : own.get(s.index()))
                .toList();
    }

    private Gathered own(JointEntity joint, InspectionEntity inspection, List<EntryEntity> entries) {
        Making.Opened made = making.open(joint);
        Told readings = new Told();
        Told indications = new Told();
        List<String> clear = new ArrayList<>();
        List<String> covered = new ArrayList<>();
        List<String> named = new ArrayList<>();
        for (EntryEntity e : entries) {
            if (e.isWithdrawn()) {
                continue;
            }
            if (e.kind() == Kind.COVER) {
                covered.add(e.content());
                continue;
            }
            EntryContent content = e.said(json);
            switch (e.kind()) {
                case READING -> readings.add(e, content);
                case INDICATION -> indications.add(e, content);
                default -> clear.add(content.criterion());
            }
            if (content.gauge() != null) {
                named.add(content.gauge());
            }
        }
        Contract contract = contract(joint, inspection, named);
        ConditionsForm conditions = conditions(joint, inspection, contract);
        List<String> notes = new ArrayList<>();
        InspectionDocument document = new InspectionParts(
                        joint.criteria(),
                        joint.units(),
                        joint.asFitted(),
                        json.writeValueAsString(conditions.inFormat()),
                        clear.stream().distinct().toList(),
                        covered,
                        readings.inFormat(contract, true),
                        indications.inFormat(contract, false),
                        making.weldingDocument(made),
                        addenda(joint, contract.terms(), notes),
                        contract.terms().isPerToe() ? "{\"undercut\":\"per-toe\"}" : InspectionParts.NO_CHOICES)
                .read();
        Inspection look = document.inspection();
        // a look signed before light and access were asked keeps the verdict it was signed with
        if (!inspection.isSigned() || conditions.saysOfViewing()) {
            look = look.seenUnder(conditions.viewing());
        }
        Terms terms = new Terms(
                guard(contract, readings, indications, joint),
                contract.deviations().stream().map(d -> d.read(joint.unit())).toList());
        return new Gathered(
                document,
                look,
                terms,
                readings.entries,
                indications.entries,
                List.of(),
                made,
                conditions,
                contract,
                notes,
                Optional.empty());
    }

    private static Optional<Guard> guard(Contract contract, Told readings, Told indications, JointEntity joint) {
        ContractTerms terms = contract.terms();
        return terms.isGuarded()
                ? Optional.of(new Guard(
                        terms.factor(),
                        contract.uncertainties(readings.contents, joint.unit()),
                        contract.uncertainties(indications.contents, joint.unit())))
                : Optional.empty();
    }

    /** What stands beside the book: of a signed look what stood then, else what stands now. */
    private Contract contract(JointEntity joint, InspectionEntity inspection, List<String> namedGauges) {
        if (inspection.isSigned()) {
            return inspection.contract() == null
                    ? Contract.NONE
                    : json.readValue(inspection.contract(), Contract.class).filled();
        }
        return new Contract(
                jobs.terms(jobs.get(joint.jobId())),
                deviations.standing(joint.id()).stream()
                        .map(Deviations.DeviationView::form)
                        .toList(),
                gauges.named(namedGauges.stream().distinct().toList()),
                waivers.of(inspection.id()).stream()
                        .map(Waivers.WaiverView::gauge)
                        .toList());
    }

    /** The job's limits that tighten the book for this joint; a job has thick welds and thin ones. */
    private String addenda(JointEntity joint, ContractTerms terms, List<String> notes) {
        if (terms.allLimits().isEmpty()) {
            return InspectionParts.NO_ADDENDA;
        }
        CriteriaBook book = CriteriaBooks.find(joint.criteria()).orElseThrow();
        Joint weld = InspectionParts.readJoint(joint.asFitted(), joint.unit());
        List<Addendum> read = InspectionParts.readAddenda(json.writeValueAsString(terms.allLimits()), joint.unit());
        List<ContractTerms.Limit> tighter = new ArrayList<>();
        for (int i = 0; i < read.size(); i++) {
            Addendum a = read.get(i);
            Optional<Length> loosest = book.loosest(a.kind(), weld, joint.unit());
            boolean looser = a.max().isPresent()
                    && loosest.map(l -> a.max().get().isOver(l)).orElse(false);
            if (looser) {
                notes.add("The contract's " + a.kind().id() + " of "
                        + a.max().get().shownWithUnit()
                        + " does not tighten the book here, which accepts at most "
                        + loosest.get().in(joint.unit()).shownWithUnit() + ": the book governs.");
            } else {
                tighter.add(terms.allLimits().get(i));
            }
        }
        return json.writeValueAsString(tighter);
    }

    /** The answers as they stand now: the clock of the welding runs by itself, and the register says which gauges hold. */
    private ConditionsForm conditions(JointEntity joint, InspectionEntity inspection, Contract contract) {
        ConditionsForm answered = json.readValue(inspection.conditions(), ConditionsForm.class);
        if (inspection.isSigned()) {
            return answered;
        }
        BigDecimal hours = joint.weldedAt() == null ? answered.hoursSinceWelding() : hoursSince(joint.weldedAt());
        return answered.standing(
                hours, gauges.hold(answered.gaugeIds(), contract.waived()).orElse(answered.inCalibration()));
    }

    /** Full tenths of an hour, so that the wait is never over too soon. */
    private BigDecimal hoursSince(Instant welded) {
        long minutes = Math.max(0, Duration.between(welded, clock.instant()).toMinutes());
        BigDecimal hours = BigDecimal.valueOf(minutes).divide(BigDecimal.valueOf(60), 1, RoundingMode.DOWN);
        return new BigDecimal(hours.stripTrailingZeros().toPlainString());
    }
}
