package mensor.server.welding;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.cause.Surroundings;
import mensor.exchange.InspectionParts;
import mensor.exchange.WeldingParts;
import mensor.inspection.FitUp;
import mensor.inspection.FitUpCheck;
import mensor.inspection.FitUpQuestion;
import mensor.inspection.InProcessInspection;
import mensor.inspection.InspectionItem;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.plan.SchoolTopic;
import mensor.server.job.Jobs;
import mensor.server.job.Schools;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.procedure.Procedures;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import mensor.weld.LoggedPass;
import mensor.weld.Named;
import mensor.weld.PassCheck;
import mensor.weld.PassKind;
import mensor.weld.Procedure;
import mensor.weld.Range;
import mensor.weld.RodClock;
import mensor.weld.SquarenessCard;
import mensor.weld.Stagger;
import mensor.weld.WeldingRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What was seen and used before the last inspection: fit-up, passes, in-process inspections, the rods' clock. */
@Service
public class WeldingRecords {
    static final String BRIGHT_METAL = "bright-metal";

    private final WeldingEntryRepository entries;
    private final Joints joints;
    private final Procedures procedures;
    private final Jobs jobs;
    private final Schools schools;
    private final People people;
    private final WeldingEntryChecks checks;
    private final JsonMapper json;
    private final Clock clock;

    WeldingRecords(
            WeldingEntryRepository entries,
            Joints joints,
            Procedures procedures,
            Jobs jobs,
            Schools schools,
            People people,
            WeldingEntryChecks checks,
            JsonMapper json,
            Clock clock) {
        this.entries = entries;
        this.joints = joints;
        this.procedures = procedures;
        this.jobs = jobs;
        this.schools = schools;
        this.people = people;
        this.checks = checks;
        this.json = json;
        this.clock = clock;
    }

    /** A recorded thing with what it reads as. */
    public record Read<T>(WeldingEntry entry, T what) {}

    /** All that is known of a joint's welding record, and what it comes to. */
    public record State(
            StoredJoint joint,
            Joint asFitted,
            Optional<Procedure> procedure,
            List<WeldingEntry> entries,
            List<Read<FitUp.Reading>> readings,
            FitUpCheck.Result fitUp,
            List<Read<LoggedPass>> passes,
            List<PassCheck.Departure> departures,
            List<Read<InProcessInspection.Answer>> answers,
            List<InspectionItem> process,
            List<Read<RodClock>> rods,
            Map<String, String> schools,
            Length apart,
            Instant now) {
        public boolean isFitUpBegun() {
            return entries.stream().anyMatch(e -> e.kind().isFitUp() && !e.isWithdrawn());
        }

        /** What the makers print on the boxes of the rods that were used. */
        public List<Surroundings.BoxLabel> boxLabels() {
            return entries.stream()
                    .filter(e -> e.kind() == WeldingEntryKind.RODS && !e.isWithdrawn())
                    .map(e -> WeldingParts.boxLabel(e.content(), joint.unit()))
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** The last of a kind that stands alone, as a card does. */
        public Optional<WeldingEntry> latest(WeldingEntryKind kind) {
            return WeldingRecords.latest(entries, kind);
        }

        /** What was seen while the rods burned. */
        public List<WeldingParts.Sight> sights() {
            return entries.stream()
                    .filter(e -> e.kind() == WeldingEntryKind.SIGHT && !e.isWithdrawn())
                    .map(e -> WeldingParts.sight(e.content(), joint.unit(), asFitted))
                    .toList();
        }

        public List<LoggedPass> loggedPasses() {
            return passes.stream().map(Read::what).toList();
        }
    }

    @Transactional(readOnly = true)
    public State open(UUID jointId) {
        return open(joints.get(jointId));
    }

    private static Optional<WeldingEntry> latest(List<WeldingEntry> entries, WeldingEntryKind kind) {
        return entries.stream()
                .filter(e -> e.kind() == kind && !e.isWithdrawn())
                .reduce((a, b) -> b);
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such joint");
    }

    /** Of a weld that stands in no job: nothing was recorded while it was made. */
    public static State none(StoredJoint joint) {
        Joint asFitted = InspectionParts.readJoint(joint.asFitted(), joint.unit());
        FitUp fitUp = new FitUp(List.of(), Map.of(), Optional.empty());
        return new State(
                joint,
                asFitted,
                Optional.empty(),
                List.of(),
                List.of(),
                FitUpCheck.of(asFitted, fitUp, joint.unit(), Optional.empty()),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Map.of(),
                Stagger.USUAL,
                joint.weldedAt());
    }

    public State open(StoredJoint joint) {
        Unit unit = joint.unit();
        Joint asFitted = InspectionParts.readJoint(joint.asFitted(), unit);
        List<WeldingEntry> all = entries.findByJointIdOrderBySequence(joint.id());
        List<Read<FitUp.Reading>> readings = new ArrayList<>();
        List<Read<LoggedPass>> passes = new ArrayList<>();
        List<Read<InProcessInspection.Answer>> answers = new ArrayList<>();
        List<Read<RodClock>> rods = new ArrayList<>();
        List<Surroundings.BoxLabel> labels = new ArrayList<>();
        for (WeldingEntry e : all) {
            if (!e.isWithdrawn()) {
                switch (e.kind()) {
                    case FIT_UP -> readings.add(new Read<>(e, WeldingParts.fitUpReading(e.content(), unit, asFitted)));
                    case PASS -> passes.add(new Read<>(e, WeldingParts.pass(e.content(), unit, asFitted)));
                    case PROCESS -> answers.add(new Read<>(e, WeldingParts.processAnswer(e.content(), unit, asFitted)));
                    case RODS -> {
                        WeldingParts.boxLabel(e.content(), unit).ifPresent(labels::add);
                        RodClock clock = WeldingParts.rods(e.content());
                        if (!clock.outings().isEmpty()) { // a box whose label was noted has no clock
                            rods.add(new Read<>(e, clock));
                        }
                    }
                    case FIT_UP_ANSWER, FIRST_ROD, SIGHT, SQUARENESS -> {} // read together below, or where it is shown
                }
            }
        }
        Optional<Procedure> procedure = procedures.read(joint.procedureId());
        List<LoggedPass> logged = passes.stream().map(Read::what).toList();
        Length apart = jobs.apart(jobs.get(joint.jobId()));
        Instant until = joint.weldedAt() == null ? clock.instant() : joint.weldedAt();
        Map<String, String> picked = schools.in(jobs.get(joint.jobId()));
        FitUp fitUp = fitUp(readings.stream().map(Read::what).toList(), all, unit);
        return new State(
                joint,
                asFitted,
                procedure,
                all,
                readings,
                FitUpCheck.of(asFitted, fitUp, unit, procedure),
                passes,
                Stream.concat(
                                PassCheck.departures(
                                        logged,
                                        whole(joint),
                                        procedure,
                                        asFitted.position(),
                                        p -> Surroundings.label(labels, p.electrode(), p.diameter()))
                                        .stream(),
                                latest(all, WeldingEntryKind.SQUARENESS).stream()
                                        .flatMap(
                                                e -> SquarenessCard.departures(
                                                        WeldingParts.squareness(e.content(), unit, asFitted))
                                                        .stream()))
                        .toList(),
                answers,
                InProcessInspection.items(
                        asFitted,
                        answers.stream().map(Read::what).toList(),
                        logged,
                        apart,
                        rods.stream().map(Read::what).toList(),
                        until,
                        SchoolTopic.practice(picked)),
                rods,
                picked,
                apart,
                until);
    }

    private WeldingRecord whole(StoredJoint joint) {
        return InspectionParts.readWelding(joint.welding(), joint.unit());
    }

    private FitUp fitUp(List<FitUp.Reading> readings, List<WeldingEntry> all, Unit unit) {
        Map<FitUpQuestion, Boolean> answers = new EnumMap<>(FitUpQuestion.class);
        Optional<Length> bright = Optional.empty();
        for (WeldingEntry e : all) {
            if (e.kind() == WeldingEntryKind.FIT_UP_ANSWER && !e.isWithdrawn()) {
                WeldingContent c = json.readValue(e.content(), WeldingContent.class);
                if (c.question().equals(BRIGHT_METAL)) {
                    bright = Optional.of(Length.parse(c.depth(), unit));
                } else {
                    answers.put(Named.find(FitUpQuestion.class, c.question()).orElseThrow(), c.asWanted());
                }
            }
        }
        return new FitUp(readings, answers, bright);
    }

    /**
     * Records one entry under the browser's id. The same again changes nothing; other content changes the entry, if {@code
     * version} is the one that stands. A fit-up that changes writes what it asks into the joint.
     *
     * @param signed something was signed on the joint: its fit-up then stands
     */
    @Transactional
    public State put(
            Actor actor,
            UUID jointId,
            UUID entryId,
            WeldingEntryKind kind,
            WeldingContent said,
            Long version,
            boolean signed) {
        StoredJoint joint = forChange(actor, jointId);
        if (entryId == null || kind == null || said == null) {
            throw Refusal.invalid("content", "an entry needs its id, its kind and what it says");
        }
        refuseSigned(kind, signed);
        String content = checks.content(joint, kind, said);
        WeldingEntry standing = entries.findById(entryId).orElse(null);
        if (standing == null) {
            replaced(joint, kind, said).ifPresent(e -> e.withdraw("answered anew"));
            int next = (int) entries.countByJointId(jointId) + 1;
            entries.save(new WeldingEntry(entryId, jointId, next, kind, content, actor.id(), clock.instant()));
        } else {
            if (!standing.jointId().equals(jointId) || standing.kind() != kind) {
                throw Refusal.conflict("that id belongs to another entry");
            }
            if (!standing.content().equals(content)) {
                checkVersion(standing, version);
                standing.change(content, actor.id(), clock.instant());
            }
        }
        return changed(joint, kind);
    }

    private StoredJoint forChange(Actor actor, UUID jointId) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer records nothing");
        }
        return joints.forChange(jointId);
    }

    private static void refuseSigned(WeldingEntryKind kind, boolean signed) {
        if (signed && kind.isFitUp()) {
            throw Refusal.conflict("an inspection at this joint is signed; its fit-up can no longer be changed");
        }
    }

    private void checkVersion(WeldingEntry standing, Long version) {
        if (version == null || version != standing.version()) {
            throw Refusal.stale(people.nameOf(standing.enteredBy()) + " changed this meanwhile", null);
        }
    }

    /** The earlier answer to the same question, where the new one takes its place: those at a place of their own stand. */
    private Optional<WeldingEntry> replaced(StoredJoint joint, WeldingEntryKind kind, WeldingContent said) {
        boolean whole = kind == WeldingEntryKind.FIT_UP_ANSWER
                || kind == WeldingEntryKind.PROCESS && said.at() == null && said.from() == null;
        if (!whole) {
            return Optional.empty();
        }
        return entries.findByJointIdOrderBySequence(joint.id()).stream()
                .filter(e -> e.kind() == kind && !e.isWithdrawn())
                .filter(e -> {
                    WeldingContent c = json.readValue(e.content(), WeldingContent.class);
                    return said.question().equals(c.question()) && c.at() == null && c.from() == null;
                })
                .findFirst();
    }

    @Transactional
    public State withdraw(Actor actor, UUID jointId, UUID entryId, long version, boolean signed) {
        StoredJoint joint = forChange(actor, jointId);
        WeldingEntry entry = entry(jointId, entryId);
        refuseSigned(entry.kind(), signed);
        if (!entry.isWithdrawn()) {
            checkVersion(entry, version);
            entry.withdraw("taken off by " + actor.name());
        }
        return changed(joint, entry.kind());
    }

    @Transactional
    public State restore(Actor actor, UUID jointId, UUID entryId, boolean signed) {
        StoredJoint joint = forChange(actor, jointId);
        WeldingEntry entry = entry(jointId, entryId);
        refuseSigned(entry.kind(), signed);
        if (entry.isWithdrawn()) {
            replaced(joint, entry.kind(), json.readValue(entry.content(), WeldingContent.class))
                    .ifPresent(e -> e.withdraw("answered anew"));
            entry.restore();
        }
        return changed(joint, entry.kind());
    }

    private WeldingEntry entry(UUID jointId, UUID entryId) {
        return entries.findById(entryId)
                .filter(e -> e.jointId().equals(jointId))
                .orElseThrow(() -> Refusal.notFound("there is no such entry"));
    }

    private State changed(StoredJoint joint, WeldingEntryKind kind) {
        entries.flush();
        State opened = open(joint);
        if (kind == WeldingEntryKind.FIT_UP || kind == WeldingEntryKind.FIT_UP_ANSWER) {
            // once a gap was read, the fit-up says where the joint is open, and no longer the set-up
            joints.fittedUp(
                    joint.id(),
                    opened.readings().isEmpty()
                            ? null
                            : InspectionParts.gaps(opened.fitUp().gaps()));
            opened = open(joint);
        }
        return opened;
    }

    /** The day and hour of the last welding: from it the wait of delayed steels runs, and the rods' clock stops. */
    @Transactional
    public State welded(Actor actor, UUID jointId, Instant at) {
        StoredJoint joint = forChange(actor, jointId);
        if (at != null && at.isAfter(clock.instant().plusSeconds(60))) {
            throw Refusal.invalid("weldedAt", "lies in the future");
        }
        joints.welded(joint.id(), at);
        return open(joint);
    }

    /**
     * The welding record of a joint as the inspection format has it: what was recorded of the whole, the passes as measured,
     * the procedure's amps, and how long the low-hydrogen rods were out.
     */
    public WeldingRecord weldingRecord(State o) {
        OptionalDouble hours = o.rods().stream()
                .map(Read::what)
                .filter(c -> RodClock.limit(c.electrode()).isPresent())
                .mapToDouble(c -> c.out(o.now()).toMinutes() / 60.0)
                .map(h -> Math.round(h * 100) / 100.0)
                .max();
        Map<PassKind, Range> amps = new EnumMap<>(PassKind.class);
        o.procedure().ifPresent(w -> w.passes().forEach(p -> p.amps().ifPresent(r -> amps.put(p.kind(), r))));
        return whole(o.joint())
                .with(o.loggedPasses().stream().map(LoggedPass::recorded).toList(), amps, hours);
    }
}
