package mensor.server.scan;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import mensor.exchange.EntryDocument;
import mensor.exchange.InspectionParts;
import mensor.inspection.Entry;
import mensor.length.Length;
import mensor.server.background.BackgroundQueue;
import mensor.server.entry.StoredEntry;
import mensor.server.gauge.Gauges;
import mensor.server.inspection.Bench;
import mensor.server.inspection.EntryRecorder;
import mensor.server.inspection.InspectionScans;
import mensor.server.inspection.StoredInspection;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.scan.ScanView.ProposalView;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Scans of a weld: kept with its inspection, measured in the background; what they propose an inspector takes over, one, some or all. */
@Service
public class Scans implements InspectionScans {
    static final String MEASURE = "scan-measure";
    static final long MOST_BYTES = 1L << 30;
    private static final int LONGEST_NAME = 120;
    private static final int MOST_SCANS = 12;
    private static final double MM = 1e6;

    private final ScanRepository scans;
    private final ScanStore store;
    private final Bench bench;
    private final EntryRecorder recorder;
    private final Gauges gauges;
    private final People people;
    private final BackgroundQueue queue;
    private final JsonMapper json;
    private final Clock clock;

    Scans(
            ScanRepository scans,
            ScanStore store,
            Bench bench,
            EntryRecorder recorder,
            Gauges gauges,
            People people,
            BackgroundQueue queue,
            JsonMapper json,
            Clock clock) {
        this.scans = scans;
        this.store = store;
        this.bench = bench;
        this.recorder = recorder;
        this.gauges = gauges;
        this.people = people;
        this.queue = queue;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<ScanView> of(Actor actor, UUID inspection) {
        Bench.State o = bench.open(actor, inspection);
        return scans.findByInspectionIdOrderByAddedAt(inspection).stream()
                .map(s -> view(o, s))
                .toList();
    }

    List<UUID> scanned(int most) {
        return scans.scanned(most);
    }

    /** The newest scan of an inspection that can be drawn. */
    Optional<ScanEntity> drawn(UUID inspection) {
        return scans.findByInspectionIdOrderByAddedAt(inspection).stream()
                .filter(s -> !s.isWithdrawn() && store.isDrawn(s.drawnAs()))
                .reduce((a, b) -> b);
    }

    /** A revision that took its scans over from the record it amends stands for it. */
    @Transactional(readOnly = true)
    public List<ScanView.WeldScanView> ofWeld(Actor actor, UUID inspection) {
        UUID weld = bench.joint(actor, inspection).id();
        Map<String, ScanView.WeldScanView> newest = new LinkedHashMap<>();
        bench.ofJoint(weld).stream()
                .filter(i -> !actor.seesSignedOnly() || i.isSigned())
                .sorted(Comparator.comparing((StoredInspection i) -> i.id().equals(inspection))
                        .thenComparing(StoredInspection::cycle)
                        .thenComparing(StoredInspection::revision))
                .forEach(i -> scans.findByInspectionIdOrderByAddedAt(i.id()).stream()
                        .filter(s -> !s.isWithdrawn() && store.isDrawn(s.drawnAs()))
                        .forEach(s -> newest.put(
                                i.capacity() + " " + i.cycle() + " " + s.sha256(),
                                new ScanView.WeldScanView(i.id(), s.id(), s.name() + ", " + when(i)))));
        return List.copyOf(newest.values());
    }

    private static String when(StoredInspection i) {
        return (StoredInspection.VERIFICATION.equals(i.capacity()) ? "verification, " : "")
                + (i.cycle() == 0 ? "first inspection" : "after repair " + i.cycle());
    }

    /** Before a long file is sent: whether the person may. */
    @Transactional
    public void checkMayAdd(Actor actor, UUID inspection) {
        bench.lockForChange(actor, inspection);
    }

    public ScanStore.Received receive(InputStream content) throws IOException {
        return store.receive(content, MOST_BYTES);
    }

    /** Keeps what was sent with the inspection and has it measured. */
    @Transactional
    public List<ScanView> add(
            Actor actor, UUID inspection, UUID id, String name, UUID gauge, ScanStore.Received received) {
        ScanStore.Kept kept = received.kept();
        bench.lockForChange(actor, inspection);
        if (name == null || name.isBlank() || name.length() > LONGEST_NAME) {
            throw Refusal.invalid("name", "the file's name, in up to " + LONGEST_NAME + " letters");
        }
        if (gauge != null && gauges.find(gauge).isEmpty()) {
            throw Refusal.invalid("gauge", "there is no such gauge");
        }
        Optional<ScanEntity> standing = scans.findById(id);
        if (standing.isPresent()) {
            if (!standing.get().inspectionId().equals(inspection)
                    || !standing.get().sha256().equals(kept.sha256())) {
                throw Refusal.conflict("that id belongs to another scan");
            }
            return of(actor, inspection);
        }
        if (scans.findByInspectionIdOrderByAddedAt(inspection).stream()
                        .filter(s -> !s.isWithdrawn())
                        .count()
                >= MOST_SCANS) {
            throw Refusal.conflict("an inspection has up to " + MOST_SCANS + " scans; take one off first");
        }
        ScanEntity scan = new ScanEntity(id, inspection, name.strip(), kept, gauge, actor.id(), clock.instant());
        scan.measureBy(queue.add(MEASURE, actor.id(), name.strip(), id.toString(), null, 100));
        scans.saveAndFlush(scan);
        received.keep();
        return of(actor, inspection);
    }

    /** Measures it anew, as after its file was brought back. */
    @Transactional
    public List<ScanView> again(Actor actor, UUID inspection, UUID id) {
        bench.lockForChange(actor, inspection);
        ScanEntity scan = find(inspection, id);
        scan.measureBy(queue.add(MEASURE, actor.id(), scan.name(), id.toString(), null, 100));
        scans.flush();
        return of(actor, inspection);
    }

    @Transactional
    public List<ScanView> setWithdrawn(Actor actor, UUID inspection, UUID id, boolean off) {
        bench.lockForChange(actor, inspection);
        ScanEntity scan = find(inspection, id);
        if (off && scan.state() == ScanEntity.State.WAITING && scan.workId() != null) {
            queue.stop(scan.addedBy(), scan.workId());
        }
        scan.setWithdrawn(off);
        scans.flush();
        return of(actor, inspection);
    }

    /** Takes proposals over as entries of the inspection, all of them in one. */
    @Transactional
    public Bench.State take(Actor actor, UUID inspection, UUID id, Set<UUID> wanted) {
        bench.lockForChange(actor, inspection);
        ScanEntity scan = find(inspection, id);
        List<ProposalView> proposals = view(bench.open(actor, inspection), scan).proposals();
        List<Bench.NewEntry> taken = proposals.stream()
                .filter(p -> wanted.contains(p.id()) && !p.taken())
                .map(p -> new Bench.NewEntry(p.id(), p.kind(), p.content()))
                .toList();
        Set<UUID> known = proposals.stream().map(ProposalView::id).collect(Collectors.toSet());
        wanted.stream().filter(w -> !known.contains(w)).findFirst().ifPresent(w -> {
            throw Refusal.invalid("proposals", "the scan proposes nothing of that id; it was measured anew");
        });
        return recorder.putAll(actor, inspection, taken);
    }

    ScanEntity seen(Actor actor, UUID inspection, UUID id) {
        bench.version(actor, inspection); // refused where the person may not see it
        return find(inspection, id);
    }

    private ScanEntity find(UUID inspection, UUID id) {
        return scans.findById(id)
                .filter(s -> s.inspectionId().equals(inspection))
                .orElseThrow(() -> Refusal.notFound("there is no such scan"));
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> sums(UUID inspection) {
        return scans.findByInspectionIdOrderByAddedAt(inspection).stream()
                .filter(s -> !s.isWithdrawn())
                .map(s -> s.name() + " sha256 " + s.sha256()
                        + (s.state() == ScanEntity.State.MEASURED
                                ? ", measured by " + s.measuredBy() + " to sha256 " + s.measuredSha256()
                                : ", not measured"))
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public List<Bench.NewEntry> unanswered(Bench.State o) {
        List<? extends StoredEntry> entries = o.entries();
        Set<UUID> takenOff = new HashSet<>();
        for (StoredEntry e : entries) {
            if (e.isWithdrawn()) {
                takenOff.add(e.id());
            }
        }
        return scans.findByInspectionIdOrderByAddedAt(o.inspection().id()).stream()
                .filter(s -> !s.isWithdrawn() && s.measured() != null)
                .flatMap(s -> proposals(o, s, json.readTree(s.measured())).stream())
                .filter(p -> p.kind() != Entry.Sort.CLEAR && !p.taken() && !takenOff.contains(p.id()))
                .map(p -> new Bench.NewEntry(p.id(), p.kind(), p.content()))
                .toList();
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<String> waiting(UUID inspection) {
        return scans.findByInspectionIdOrderByAddedAt(inspection).stream()
                .filter(s -> !s.isWithdrawn() && s.state() == ScanEntity.State.WAITING)
                .map(ScanEntity::name)
                .findFirst();
    }

    @Override
    @Transactional
    public void carryOver(UUID from, UUID to) {
        scans.findByInspectionIdOrderByAddedAt(from).stream()
                .filter(s -> !s.isWithdrawn())
                .forEach(s -> scans.save(s.in(to)));
    }

    static Joint joint(StoredJoint joint) {
        return InspectionParts.readJoint(joint.asFitted(), joint.unit());
    }

    private ScanView view(Bench.State o, ScanEntity s) {
        Optional<JsonNode> measured = Optional.ofNullable(s.measured()).map(json::readTree);
        int part = 0;
        String state = s.state().name().toLowerCase(java.util.Locale.ROOT);
        String failure = s.failure();
        if (s.state() == ScanEntity.State.WAITING && s.workId() != null) {
            Optional<BackgroundQueue.BackgroundWork> work = queue.find(s.addedBy(), s.workId());
            part = work.map(BackgroundQueue.BackgroundWork::done).orElse(0);
            state = work.map(BackgroundQueue.BackgroundWork::state)
                            .filter("running"::equals)
                            .isPresent()
                    ? "measuring"
                    : state;
        }
        String gauge = gauges.find(s.gaugeId() == null ? new UUID(0, 0) : s.gaugeId())
                .map(g -> g.name())
                .orElse(null);
        List<ProposalView> proposals = measured.map(m -> proposals(o, s, m)).orElse(List.of());
        boolean drawn = s.state() == ScanEntity.State.MEASURED && store.isDrawn(s.drawnAs());
        return new ScanView(
                s.id(),
                s.name(),
                s.bytes(),
                s.sha256(),
                state,
                part,
                failure,
                s.gaugeId(),
                gauge,
                measured.map(m -> m.path("device").asString("")).orElse(null),
                measured.map(m -> m.path("profiles").asInt()).orElse(0),
                measured.map(m -> m.path("points").asLong()).orElse(0L),
                measured.filter(m -> m.has("noise"))
                        .map(m -> m.get("noise").asDouble())
                        .orElse(null),
                measured.map(m -> texts(m.path("why"))).orElse(List.of()),
                measured.map(m -> texts(m.path("notes"))).orElse(List.of()),
                measured.map(m -> holes(m, o.joint())).orElse(List.of()),
                proposals,
                drawn ? ReadByHand.against(o, store.readLines(s.drawnAs()), proposals) : List.of(),
                s.measuredBy(),
                drawn,
                people.nameOf(s.addedBy()),
                s.addedAt(),
                s.isWithdrawn());
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asString)
                .toList();
    }

    private static List<String> holes(JsonNode measured, StoredJoint joint) {
        return StreamSupport.stream(measured.path("notMeasured").spliterator(), false)
                .map(h ->
                        place(h.get(0).asDouble(), joint) + "–" + place(h.get(1).asDouble(), joint))
                .toList();
    }

    /** A place as a tape would tell it. */
    static String place(double mm, StoredJoint joint) {
        return joint.unit()
                .pick(
                        Length.inches((int) Math.round(mm / 25.4 * 16), 16),
                        Length.millimetres(String.valueOf(Math.round(mm))))
                .shown();
    }

    private List<ProposalView> proposals(Bench.State o, ScanEntity s, JsonNode measured) {
        List<? extends StoredEntry> standing = o.entries();
        Set<UUID> ids = new HashSet<>();
        Set<String> contents = new HashSet<>();
        boolean undercutSeen = false;
        for (StoredEntry e : standing) {
            if (!e.isWithdrawn()) {
                ids.add(e.id());
                contents.add(e.content());
                undercutSeen |= e.content().contains("\"kind\":\"undercut\"");
            }
        }
        List<ProposalView> all = new ArrayList<>();
        for (JsonNode p : measured.path("entries")) {
            Entry.Sort sort = Entry.Sort.valueOf(p.get("sort").asString());
            EntryDocument content = EntryDocument.stored(p.get("content").asString());
            if (sort == Entry.Sort.CLEAR && undercutSeen) {
                continue; // somebody, or another scan, saw one: this scan does not say that there is none
            }
            UUID id = UUID.nameUUIDFromBytes(
                    (s.id() + " " + s.measuredSha256() + " " + p.get("content").asString())
                            .getBytes(StandardCharsets.UTF_8));
            all.add(new ProposalView(
                    id,
                    sort,
                    content,
                    ProposalWords.of(json.readTree(p.get("content").asString()), sort, o.joint()),
                    ids.contains(id) || contents.contains(content.canonical())));
        }
        return all;
    }

    static double mm(Length l) {
        return l.approximateNanometres() / MM;
    }
}
