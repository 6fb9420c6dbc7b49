package mensor.server.weldmap;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.server.inspection.Worklist;
import mensor.server.job.Jobs;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import mensor.server.weldmap.MapSheetEntity.Drawn;
import mensor.server.weldmap.MapSheetEntity.SheetName;
import mensor.server.weldmap.MapView.MapSheetView;
import mensor.server.weldmap.MapView.MapWeldView;
import mensor.server.weldmap.MapView.PinView;
import mensor.server.weldmap.MapView.WeldState;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A job's drawings and the welds pinned to them. A newer revision of a sheet takes the pins over, and asks about those near what changed. */
@Service
public class WeldMaps {
    private static final int PAGE = 500;
    private static final int MOST_WELDS = 5000;
    private static final int MOST_SHEETS = 100;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_REVISION = 20;

    private final MapSheetRepository sheets;
    private final MapPinRepository pins;
    private final Jobs jobs;
    private final Joints joints;
    private final Photos photos;
    private final Worklist worklist;
    private final Clock clock;

    WeldMaps(
            MapSheetRepository sheets,
            MapPinRepository pins,
            Jobs jobs,
            Joints joints,
            Photos photos,
            Worklist worklist,
            Clock clock) {
        this.sheets = sheets;
        this.pins = pins;
        this.jobs = jobs;
        this.joints = joints;
        this.photos = photos;
        this.worklist = worklist;
        this.clock = clock;
    }

    /** What is said of a drawing that is brought in. */
    public record SheetForm(
            String name, String revision, @Nullable UUID replaces) {}

    @Transactional(readOnly = true)
    public MapView of(Actor actor, UUID job) {
        List<MapSheetEntity> all = sheets.findByJobIdOrderByNameAscAddedAtAsc(job);
        List<MapSheetEntity> standing = standing(all);
        Map<UUID, List<MapPinEntity>> pinned =
                pins.findBySheetIdIn(standing.stream().map(MapSheetEntity::id).toList()).stream()
                        .collect(Collectors.groupingBy(MapPinEntity::sheetId));
        List<MapWeldView> welds = welds(actor, job);
        Set<UUID> seen = welds.stream().map(MapWeldView::joint).collect(Collectors.toSet());
        return new MapView(
                jobs.get(job).name(),
                standing.stream()
                        .map(s -> new MapSheetView(
                                s.id(),
                                s.name(),
                                s.revision(),
                                s.width(),
                                s.height(),
                                before(s, all),
                                pinned.getOrDefault(s.id(), List.of()).stream()
                                        .filter(p -> seen.contains(p.jointId()))
                                        .map(p -> new PinView(p.jointId(), p.x(), p.y(), p.changedNear()))
                                        .toList()))
                        .toList(),
                welds);
    }

    private static List<MapSheetEntity> standing(List<MapSheetEntity> all) {
        Set<UUID> replaced = all.stream()
                .filter(s -> !s.isWithdrawn())
                .map(MapSheetEntity::replaces)
                .collect(Collectors.toCollection(HashSet::new));
        return all.stream()
                .filter(s -> !s.isWithdrawn() && !replaced.contains(s.id()))
                .toList();
    }

    private static List<String> before(MapSheetEntity sheet, List<MapSheetEntity> all) {
        Map<UUID, MapSheetEntity> byId = new HashMap<>();
        all.forEach(s -> byId.put(s.id(), s));
        List<String> before = new ArrayList<>();
        // each is taken once: sheets that came in an archive may replace each other in a circle
        for (MapSheetEntity s = byId.remove(sheet.replaces()); s != null; s = byId.remove(s.replaces())) {
            before.add(s.revision());
        }
        return before;
    }

    /** Each weld once: the fabricator's newest inspection says where it stands. */
    private List<MapWeldView> welds(Actor actor, UUID job) {
        Map<UUID, Worklist.Row> rows = new LinkedHashMap<>();
        for (int from = 0; from < MOST_WELDS; from += PAGE) {
            Worklist.WorklistPage page = worklist.page(actor, "", "all", job, "", from, PAGE);
            page.rows()
                    .forEach(r ->
                            rows.merge(r.jointId(), r, (a, b) -> a.capacity().equals("QC") ? a : b));
            if (page.rows().size() < PAGE) {
                break;
            }
        }
        return rows.values().stream()
                .map(r -> new MapWeldView(
                        r.jointId(), r.inspectionId(), r.mark(), r.weldNo(), r.side(), r.inWords(), state(r), r.next()))
                .toList();
    }

    static WeldState state(Worklist.Row r) {
        if (!r.signed()) {
            return r.begun() || r.revision() > 1 ? WeldState.OPEN : WeldState.NOT_INSPECTED;
        }
        if (r.group().equals("elsewhere")) {
            return WeldState.OPEN; // signed at another installation: no accept of this shop
        }
        if (!r.verdict().equals("reject")) {
            return WeldState.ACCEPT;
        }
        return switch (r.group()) {
            case "hold" -> WeldState.HOLD;
            case "repair", "inspect" -> WeldState.IN_REPAIR;
            default -> WeldState.REJECT;
        };
    }

    @Transactional(readOnly = true)
    public PictureFile picture(UUID job, UUID sheet) {
        return photos.kept(find(job, sheet).sha256());
    }

    private MapSheetEntity find(UUID job, UUID sheet) {
        return sheets.findById(sheet)
                .filter(s -> s.jobId().equals(job))
                .orElseThrow(() -> Refusal.notFound("there is no such sheet"));
    }

    /** Before a drawing is opened. */
    static void checkDraws(Actor actor) {
        if (!actor.is(Role.INSPECTOR, Role.WELDING_ENGINEER, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("the map is kept by inspectors, the welding engineer and the quality manager");
        }
    }

    /**
     * Brings in the pages of a drawing, each a sheet of its own. One that replaces a sheet takes its pins over.
     *
     * @param id of the first page
     */
    @Transactional
    public void add(Actor actor, UUID job, UUID id, SheetForm form, Collection<PictureFile> pages) {
        checkDraws(actor);
        jobs.get(job);
        if (sheets.existsById(id)) {
            if (find(job, id).isWithdrawn()) {
                throw Refusal.conflict("that id belongs to a sheet that was taken off");
            }
            return; // sent again: it is there
        }
        String name = text("name", form.name(), LONGEST_NAME);
        String revision = form.revision() == null || form.revision().isBlank()
                ? "0"
                : text("revision", form.revision(), LONGEST_REVISION);
        List<MapSheetEntity> all = sheets.findByJobIdOrderByNameAscAddedAtAsc(job);
        Optional<MapSheetEntity> old = Optional.ofNullable(form.replaces()).map(r -> find(job, r));
        if (old.isPresent() && pages.size() > 1) {
            throw Refusal.invalid("drawing", "a sheet is replaced by one page; this PDF has " + pages.size());
        }
        if (old.isPresent() && standing(all).stream().noneMatch(s -> s.id().equals(form.replaces()))) {
            throw Refusal.conflict("that sheet is not the newest revision any more; open the map again");
        }
        if (all.size() + pages.size() > MOST_SHEETS) {
            throw Refusal.conflict("a job has up to " + MOST_SHEETS + " sheets");
        }
        int page = 0;
        for (PictureFile p : pages) {
            page++;
            String called = pages.size() == 1 ? name : name + ", page " + page;
            MapSheetEntity sheet = sheets.saveAndFlush(new MapSheetEntity(
                    page == 1 ? id : UUID.randomUUID(),
                    job,
                    new SheetName(called, revision),
                    new Drawn(photos.keep(p), p.width(), p.height()),
                    form.replaces(),
                    actor.id(),
                    clock.instant()));
            old.ifPresent(o -> takeOver(o, sheet, p));
        }
    }

    private void takeOver(MapSheetEntity old, MapSheetEntity sheet, PictureFile now) {
        ChangedPlaces changed = new ChangedPlaces(photos.kept(old.sha256()), now);
        for (MapPinEntity p : pins.findBySheetIdIn(List.of(old.id()))) {
            pins.save(new MapPinEntity(
                    sheet.id(), p.jointId(), p.x(), p.y(), p.changedNear() || changed.isNear(p.x(), p.y())));
        }
    }

    private static String text(String field, String text, int longest) {
        if (text == null || text.isBlank() || text.length() > longest) {
            throw Refusal.invalid(field, "up to " + longest + " letters are required");
        }
        return text.strip();
    }

    @Transactional
    public void setWithdrawn(Actor actor, UUID job, UUID sheet, boolean off) {
        checkDraws(actor);
        find(job, sheet).setWithdrawn(off);
    }

    /** Pins a weld to a place, or moves its pin; what was asked about it is answered then. */
    @Transactional
    public void pin(Actor actor, UUID job, UUID sheet, UUID joint, double x, double y) {
        checkDraws(actor);
        MapSheetEntity s = find(job, sheet);
        if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
            throw Refusal.invalid("x", "a place on the sheet is required");
        }
        if (!joints.get(joint).jobId().equals(job)) {
            throw Refusal.invalid("joint", "this weld is of another job");
        }
        pins.findBySheetIdAndJointId(s.id(), joint)
                .ifPresentOrElse(p -> p.put(x, y), () -> pins.save(new MapPinEntity(s.id(), joint, x, y, false)));
    }

    @Transactional
    public void takeOff(Actor actor, UUID job, UUID sheet, UUID joint) {
        checkDraws(actor);
        pins.findBySheetIdAndJointId(find(job, sheet).id(), joint).ifPresent(pins::delete);
    }

    /** A place of the weld list. */
    public record Placed(String mark, @Nullable String weldNo, String sheet, double x, double y) {}

    /**
     * Pins the welds that a list has places for.
     *
     * @return what could not be placed, in words
     */
    @Transactional
    public List<String> place(Actor actor, UUID job, List<Placed> places) {
        checkDraws(actor);
        List<MapSheetEntity> standing = standing(sheets.findByJobIdOrderByNameAscAddedAtAsc(job));
        List<StoredJoint> welds = joints.ofJob(job);
        List<String> left = new ArrayList<>();
        for (Placed p : places) {
            Optional<MapSheetEntity> sheet = standing.stream()
                    .filter(s -> s.name().equalsIgnoreCase(p.sheet()))
                    .findFirst();
            List<StoredJoint> named = welds.stream()
                    .filter(j -> j.mark().equalsIgnoreCase(p.mark()))
                    .filter(j -> p.weldNo() == null
                            || p.weldNo().isBlank()
                            || p.weldNo().equalsIgnoreCase(j.weldNo()))
                    .sorted(Comparator.comparing(StoredJoint::id))
                    .toList();
            if (sheet.isEmpty() || named.isEmpty()) {
                left.add(p.mark() + ": " + (sheet.isEmpty() ? "no sheet is called " + p.sheet() : "no such weld"));
                continue;
            }
            named.forEach(j -> pin(actor, job, sheet.get().id(), j.id(), p.x(), p.y()));
        }
        return left;
    }
}
