package mensor.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.server.contract.DeviationForm;
import mensor.server.contract.Deviations;
import mensor.server.contract.Waivers;
import mensor.server.inspection.Bench;
import mensor.server.inspection.ConditionsForm;
import mensor.server.inspection.EntryRecorder;
import mensor.server.inspection.HandOvers;
import mensor.server.inspection.NewInspections;
import mensor.server.inspection.ReadinessRecorder;
import mensor.server.inspection.Rejudgement;
import mensor.server.inspection.SignOff;
import mensor.server.inspection.StoredInspection;
import mensor.server.joint.JointForm;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.StoredJoint;
import mensor.server.joint.Welding;
import mensor.server.joint.WeldingForm;
import mensor.server.people.Actor;
import mensor.server.repair.HoldRelease;
import mensor.server.repair.Repairs;
import mensor.server.repair.StepForm;
import mensor.server.welding.WeldingContent;
import mensor.server.welding.WeldingEntryKind;
import mensor.server.welding.WeldingRecords;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/** Puts joints and looks of the demo in, through the same services as a person would use. */
@Component
class DemoBench {
    /** What a fillet welded from both sides is inspected for along its length. */
    private static final List<String> ALL_CLEAR = Arrays.stream(Criterion.values())
            .filter(c -> c.clearable() && c != Criterion.ROOT && c != Criterion.MISALIGNMENT)
            .map(Criterion::id)
            .toList();

    private final SetUp setUp;
    private final Welding welding;
    private final Bench bench;
    private final HandOvers handOvers;
    private final Rejudgement rejudgement;
    private final ReadinessRecorder readiness;
    private final EntryRecorder recorder;
    private final NewInspections beginnings;
    private final SignOff signing;
    private final Repairs repairs;
    private final HoldRelease releases;
    private final Deviations deviations;
    private final Waivers waivers;
    private final DemoShop shop;
    private final EntityManager entities;
    private final WeldingRecords records;
    private final JsonMapper json;
    private final Clock clock;
    private Map<String, Actor> actors;

    DemoBench(
            SetUp setUp,
            Welding welding,
            Bench bench,
            HandOvers handOvers,
            Rejudgement rejudgement,
            ReadinessRecorder readiness,
            EntryRecorder recorder,
            NewInspections beginnings,
            SignOff signing,
            Repairs repairs,
            HoldRelease releases,
            Deviations deviations,
            Waivers waivers,
            DemoShop shop,
            EntityManager entities,
            WeldingRecords records,
            JsonMapper json,
            Clock clock) {
        this.setUp = setUp;
        this.welding = welding;
        this.bench = bench;
        this.handOvers = handOvers;
        this.rejudgement = rejudgement;
        this.readiness = readiness;
        this.recorder = recorder;
        this.beginnings = beginnings;
        this.signing = signing;
        this.repairs = repairs;
        this.releases = releases;
        this.deviations = deviations;
        this.waivers = waivers;
        this.shop = shop;
        this.entities = entities;
        this.records = records;
        this.json = json;
        this.clock = clock;
    }

    UUID inspectionOf(UUID joint) {
        return bench.ofJoint(joint).get(0).id();
    }

    /** The history says who did it; what is written in one go is nobody's. */
    private static Actor acting(Actor who) {
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            SecurityContextHolder.getContext()
                    .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of()));
        }
        return who;
    }

    void open(Map<String, Actor> people) {
        actors = people;
    }

    /** One joint being written down: what it is, then what was inspected. */
    final class Work {
        private final UUID joint;
        private final UUID inspection;
        private final Actor inspector;

        Work(StoredJoint joint, Actor inspector) {
            this(joint.id(), beginnings.begin(joint).id(), inspector);
        }

        /** Whoever did the next thing. */
        private Actor by(String who) {
            return acting(actors.get(who));
        }

        private Work(UUID joint, UUID inspection, Actor inspector) {
            this.joint = joint;
            this.inspection = inspection;
            this.inspector = inspector;
        }

        UUID jointId() {
            return joint;
        }

        UUID inspectionId() {
            return inspection;
        }

        Work put(Entry.Sort kind, String fields) {
            EntryDocument content = EntryDocument.read("{" + fields.replace('\'', '"') + "}");
            recorder.put(acting(inspector), inspection, new Bench.NewEntry(UUID.randomUUID(), kind, content), null);
            return this;
        }

        Work ready() {
            return ready(shop.kit());
        }

        Work ready(List<UUID> gauges) {
            readiness.conditions(
                    acting(inspector),
                    inspection,
                    new ConditionsForm(
                            true,
                            true,
                            false,
                            null,
                            true,
                            "120 fc, lamp",
                            true,
                            null,
                            gauges,
                            null,
                            null,
                            null,
                            null,
                            null));
            return this;
        }

        /** Legs at stations: {@code "1 5/16 3/8"} as at, leg A, leg B, then the throat if there is a fourth. */
        Work legs(String... stations) {
            for (String s : stations) {
                String[] p = s.split(" ");
                put(
                        Entry.Sort.READING,
                        "'at':'" + p[0] + "','legA':'" + p[1] + "','legB':'" + p[2] + "','division':'1/64'"
                                + (p.length > 3 ? ",'throat':'" + p[3] + "'" : ""));
            }
            return this;
        }

        Work blade(String from, String to, String size) {
            return put(Entry.Sort.READING, "'from':'" + from + "','to':'" + to + "','atLeast':'" + size + "'");
        }

        Work seen(String fields) {
            return put(Entry.Sort.INDICATION, fields);
        }

        Work undercut(String toe, String from, String to, String depth) {
            return seen("'kind':'undercut','toe':'" + toe + "','from':'" + from + "','to':'" + to + "','depth':'"
                    + depth + "','division':'1/64'");
        }

        /** After the inspection: everything that was inspected for and not seen, but for what is named. */
        Work clearBut(String... seen) {
            List<Bench.NewEntry> entries = new ArrayList<>();
            for (String c : ALL_CLEAR) {
                if (!Arrays.asList(seen).contains(c)) {
                    EntryDocument content = EntryDocument.of(Map.of("criterion", c));
                    entries.add(new Bench.NewEntry(UUID.randomUUID(), Entry.Sort.CLEAR, content));
                }
            }
            recorder.putAll(acting(inspector), inspection, entries);
            return this;
        }

        Work sign() {
            StoredInspection i = bench.open(inspector, inspection).inspection();
            signing.sign(acting(inspector), inspection, new SignOff.SignForm(i.version(), i.verdict(), "QC", null));
            return this;
        }

        /** What was used to make the weld, as the welding engineer recorded it. */
        Work welding(String fields) {
            StoredJoint stored = bench.open(inspector, inspection).joint();
            WeldingForm form = json.readValue("{" + fields.replace('\'', '"') + "}", WeldingForm.class);
            welding.record(by("wanda"), joint, stored.version(), form);
            return this;
        }

        /** Something recorded before the last inspection, by whoever walked the passes. */
        Work made(WeldingEntryKind kind, String fields) {
            WeldingContent content = json.readValue("{" + fields.replace('\'', '"') + "}", WeldingContent.class);
            records.put(inspector, joint, UUID.randomUUID(), kind, content, null, false);
            rejudgement.rejudgeOpen(joint);
            return this;
        }

        Work pass(String fields) {
            return made(WeldingEntryKind.PASS, fields);
        }

        /** Scale off, tacks sound, square, and tight where no gap is marked. */
        Work fittedWell() {
            for (String q : List.of("scale-off", "tacks", "square", "tight-elsewhere")) {
                made(WeldingEntryKind.FIT_UP_ANSWER, "'question':'" + q + "','asWanted':true");
            }
            return this;
        }

        Work welded(Duration ago) {
            records.welded(inspector, joint, clock.instant().minus(ago));
            rejudgement.rejudgeOpen(joint);
            return this;
        }

        Work handOver(String to, String note) {
            handOvers.handOver(
                    inspector, inspection, actors.get(to).id(), note, new HandOvers.InspectedStretch("0", "5"));
            return this;
        }

        Work dispose(String who, String finding, String decision, String note) {
            repairs.of(inspection, finding)
                    .forEach(d -> repairs.decide(by(who), d, new Repairs.Decision(decision, note, null, null)));
            return this;
        }

        /** What was done at one step of the repair of a finding's places. */
        Work did(String who, String finding, String state, String fields) {
            StepForm form = json.readValue("{" + fields.replace('\'', '"') + "}", StepForm.class);
            repairs.of(inspection, finding).forEach(d -> repairs.step(by(who), d, state, form));
            return this;
        }

        Work notified(String who, String finding, String whom) {
            repairs.of(inspection, finding).forEach(d -> repairs.notified(by(who), d, whom, null));
            return this;
        }

        /** The Engineer's document on what waits, as the welding engineer recorded it. */
        Work engineer(String finding, String hold, String number, LocalDate date) {
            repairs.of(inspection, finding)
                    .forEach(d -> releases.release(
                            by("wanda"),
                            d,
                            hold,
                            new HoldRelease.EngineersDocument(
                                    number, "P. Quill", date, number + ".pdf", DemoPaper.of(number))));
            return this;
        }

        Work denied(String finding, String hold, String why) {
            repairs.of(inspection, finding).forEach(d -> releases.deny(by("wanda"), d, hold, why));
            return this;
        }

        /** The re-inspection. */
        Work again(String who) {
            UUID next = repairs.reinspect(by(who), inspection).id();
            return new Work(joint, next, by(who));
        }

        /** As ready, with what lies beside the repair inspected. */
        Work readyAgain() {
            ready();
            readiness.conditions(
                    acting(inspector),
                    inspection,
                    new ConditionsForm(
                            null, null, null, null, null, null, null, null, null, null, true, null, true, null));
            return this;
        }

        /** The Engineer's document, as the welding engineer recorded it. */
        Work allowed(DeviationForm form) {
            deviations.record(by("wanda"), bench.open(inspector, inspection).joint(), form);
            rejudgement.rejudgeOpen(joint);
            return this;
        }

        /** The quality manager lets a gauge stand. */
        Work waived(String gauge, String reason) {
            waivers.waive(by("quinn"), inspection, gauge, reason);
            rejudgement.rejudgeOpen(joint);
            return this;
        }
    }

    Work joint(String lot, String mark, String no, String welder, String inspector, String fields) {
        if (TransactionSynchronizationManager.isActualTransactionActive()) {
            entities.flush();
            entities.clear(); // one joint at a time is held, or each change would look through all of them
        }
        acting(actors.get(inspector));
        boolean groove = fields.contains("'groove'");
        JointForm form = json.readValue(
                ("{'mark':'" + mark + "','weldNo':'" + no + "'," + (groove ? "" : "'weld':'fillet',") + fields + "}")
                        .replace('\'', '"'),
                JointForm.class);
        boolean metric = fields.contains(" mm'");
        DemoShop.Place place = DemoShop.place(lot, metric);
        StoredJoint joint = setUp.create(
                actors.get(inspector),
                new NewJoint(
                        place.job(),
                        place.lot(),
                        null,
                        null,
                        welder,
                        place.procedure() != null ? place.procedure() : groove ? "W-31" : metric ? "W-20" : "W-12",
                        place.drawing(),
                        place.revision(),
                        null,
                        form));
        return new Work(joint, actors.get(inspector));
    }

    static String tee(String length, String size, String web, String flange, String position) {
        return "'connection':'tee','length':'" + length + "','size':'" + size + "','position':'" + position
                + "','side':'arrow','datum':'north end, punch mark, measured east','grade':'A572-50','members':[{'name':'web','thickness':'"
                + web + "'},{'name':'flange','thickness':'" + flange + "'}]";
    }

    static String lap(String length, String size, String top, String bottom) {
        return "'connection':'lap','length':'" + length + "','size':'" + size
                + "','position':'2F','side':'other','datum':'lower end, punch mark, measured up','grade':'A36','members':[{'name':'top','thickness':'"
                + top + "'},{'name':'bottom','thickness':'" + bottom + "'}]";
    }
}
