package mensor.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.server.contract.DeviationForm;
import mensor.server.inspection.ConditionsForm;
import mensor.server.joint.JointForm;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.welding.WeldingEntryKind;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Puts joints and looks of the demo in, through the same services as a person would use. */
@Component
class DemoBench {
    /** What a fillet welded from both sides is inspected for along its length. */
    private static final List<String> ALL_CLEAR = Arrays.stream(Criterion.values())
            .filter(c -> c.clearable() && c != Criterion.ROOT && c != Criterion.MISALIGNMENT)
            .map(Criterion::id)
            .toList();

    private final SetUp setUp;
    private final DemoInspections inspections;
    private final DemoWelding welding;
    private final DemoDecisions decisions;
    private final DemoContract contract;
    private final DemoShop shop;
    private final EntityManager entities;
    private Map<String, Actor> actors;

    DemoBench(
            SetUp setUp,
            DemoInspections inspections,
            DemoWelding welding,
            DemoDecisions decisions,
            DemoContract contract,
            DemoShop shop,
            EntityManager entities) {
        this.setUp = setUp;
        this.inspections = inspections;
        this.welding = welding;
        this.decisions = decisions;
        this.contract = contract;
        this.shop = shop;
        this.entities = entities;
    }

    UUID inspectionOf(UUID joint) {
        return inspections.ofJoint(joint);
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
            this(joint.id(), inspections.begin(joint), inspector);
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
            inspections.put(acting(inspector), inspection, kind, EntryDocument.read(DemoFields.text(fields)));
            return this;
        }

        Work picture(String at, PictureFile file) {
            inspections.picture(acting(inspector), inspection, at, file);
            return this;
        }

        Work ready() {
            return ready(shop.kit());
        }

        Work ready(List<UUID> gauges) {
            inspections.answer(
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
            inspections.clear(
                    acting(inspector),
                    inspection,
                    ALL_CLEAR.stream()
                            .filter(c -> !Arrays.asList(seen).contains(c))
                            .toList());
            return this;
        }

        Work sign() {
            inspections.sign(acting(inspector), inspection);
            return this;
        }

        /** What was used to make the weld, as the welding engineer recorded it. */
        Work welding(String fields) {
            welding.record(by("wanda"), inspections.joint(inspector, inspection), fields);
            return this;
        }

        /** Something recorded before the last inspection, by whoever walked the passes. */
        Work made(WeldingEntryKind kind, String fields) {
            welding.put(inspector, joint, kind, fields);
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
            welding.welded(inspector, joint, ago);
            return this;
        }

        Work handOver(String to, String note) {
            inspections.handOver(inspector, inspection, actors.get(to), note);
            return this;
        }

        Work dispose(String who, String finding, String decision, String note) {
            decisions.decide(by(who), inspection, finding, decision, note);
            return this;
        }

        /** What was done at one step of the repair of a finding's places. */
        Work did(String who, String finding, String state, String fields) {
            decisions.did(by(who), inspection, finding, state, fields);
            return this;
        }

        Work notified(String who, String finding, String whom) {
            decisions.notified(by(who), inspection, finding, whom);
            return this;
        }

        /** The Engineer's document on what waits, as the welding engineer recorded it. */
        Work engineer(String finding, String hold, String number, LocalDate date) {
            decisions.released(by("wanda"), inspection, finding, hold, number, date);
            return this;
        }

        Work denied(String finding, String hold, String why) {
            decisions.denied(by("wanda"), inspection, finding, hold, why);
            return this;
        }

        /** The re-inspection. */
        Work again(String who) {
            return new Work(joint, decisions.reinspect(by(who), inspection), by(who));
        }

        /** As ready, with what lies beside the repair inspected. */
        Work readyAgain() {
            ready();
            inspections.answer(
                    acting(inspector),
                    inspection,
                    new ConditionsForm(
                            null, null, null, null, null, null, null, null, null, null, true, null, true, null));
            return this;
        }

        /** The Engineer's document, as the welding engineer recorded it. */
        Work allowed(DeviationForm form) {
            contract.allowed(by("wanda"), inspections.joint(inspector, inspection), form);
            return this;
        }

        /** The quality manager lets a gauge stand. */
        Work waived(String gauge, String reason) {
            contract.waived(by("quinn"), joint, inspection, gauge, reason);
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
        JointForm form = DemoFields.read(
                JointForm.class,
                "'mark':'" + mark + "','weldNo':'" + no + "'," + (groove ? "" : "'weld':'fillet',") + fields);
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
