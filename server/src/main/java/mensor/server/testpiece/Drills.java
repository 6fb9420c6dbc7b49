package mensor.server.testpiece;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.exchange.DrillFile;
import mensor.exchange.UnreadableInput;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.testpiece.Drill;
import mensor.testpiece.DrillCheck;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The drills: those that ship, and over them what the school wrote or took off. */
@Service
public class Drills {
    private static final List<Drill> SHIPPED = DrillFile.shipped();
    private static final int LONGEST = 20_000;

    private final DrillRepository drills;

    Drills(DrillRepository drills) {
        this.drills = drills;
    }

    /** @param own the school's, or one that ships as the school has changed it */
    public record DrillView(
            String id,
            String title,
            String kind,
            String kindTitle,
            String purpose,
            List<String> lookAt,
            List<AimView> aims,
            boolean own) {}

    /** @param limit in words */
    public record AimView(String id, String title, String measure, String limit) {}

    @Transactional(readOnly = true)
    public List<DrillView> all() {
        Set<String> own = drills.findAll().stream().map(DrillEntity::id).collect(Collectors.toSet());
        return standing().values().stream()
                .map(d -> view(d, own.contains(d.id())))
                .toList();
    }

    private Map<String, Drill> standing() {
        Map<String, Drill> all = new LinkedHashMap<>();
        SHIPPED.forEach(d -> all.put(d.id(), d));
        for (DrillEntity e : drills.findAll()) {
            if (e.isWithdrawn()) {
                all.remove(e.id());
            } else {
                all.put(e.id(), DrillFile.read(e.content()));
            }
        }
        return all;
    }

    @Transactional(readOnly = true)
    public Optional<Drill> find(String id) {
        return id == null ? Optional.empty() : Optional.ofNullable(standing().get(id));
    }

    /** Also one that was taken off: pieces made by it keep their aims. */
    Optional<Drill> ever(String id) {
        return id == null ? Optional.empty() : Optional.ofNullable(ever().get(id));
    }

    /** All that there are or were, by their ids. */
    Map<String, Drill> ever() {
        Map<String, Drill> all = new LinkedHashMap<>();
        SHIPPED.forEach(d -> all.put(d.id(), d));
        drills.findAll().forEach(e -> all.put(e.id(), DrillFile.read(e.content())));
        return all;
    }

    static DrillView view(Drill d, boolean own) {
        return new DrillView(
                d.id(),
                d.title(),
                d.kind().id(),
                d.kind().title(),
                d.purpose(),
                d.lookAt(),
                DrillCheck.of(d, Map.of(), Unit.INCH).aims().stream()
                        .map(a -> new AimView(
                                a.aim().id(), a.aim().title(), a.aim().measure().id(), a.limit()))
                        .toList(),
                own);
    }

    @Transactional(readOnly = true)
    public String file(String id) {
        return find(id).map(DrillFile::write).orElseThrow(() -> Refusal.notFound("there is no such drill"));
    }

    /** Keeps a drill as its file says it. */
    @Transactional
    public List<DrillView> put(Actor actor, String id, String file) {
        check(actor);
        Drill drill;
        try {
            drill = DrillFile.read(file);
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        if (!drill.id().equals(id)) {
            throw Refusal.invalid("id", "the file's id is \"" + drill.id() + "\", the drill's \"" + id + "\"");
        }
        String content = DrillFile.write(drill);
        if (content.length() > LONGEST) {
            throw Refusal.invalid("file", "a drill has up to " + LONGEST + " letters");
        }
        DrillEntity e = drills.findById(id).orElseGet(() -> new DrillEntity(id));
        e.set(content);
        drills.saveAndFlush(e);
        return all();
    }

    /** Takes a drill off; pieces made by it keep it. */
    @Transactional
    public List<DrillView> takeOff(Actor actor, String id) {
        check(actor);
        Drill drill = find(id).orElseThrow(() -> Refusal.notFound("there is no such drill"));
        DrillEntity e = drills.findById(id).orElseGet(() -> {
            DrillEntity made = new DrillEntity(id);
            made.set(DrillFile.write(drill));
            return made;
        });
        e.setWithdrawn(true);
        drills.saveAndFlush(e);
        return all();
    }

    private static void check(Actor actor) {
        if (!actor.is(Role.INSTRUCTOR, Role.WELDING_ENGINEER, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("drills are written by an instructor, the welding engineer or the quality manager");
        }
    }
}
