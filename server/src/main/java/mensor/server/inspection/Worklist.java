package mensor.server.inspection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.disposition.Dispositions;
import mensor.server.joint.JointEntity;
import mensor.server.joint.JointRepository;
import mensor.server.people.Actor;
import mensor.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The joints with where each stands and what comes next. */
@Service
public class Worklist {
    private final JointRepository joints;
    private final InspectionRepository inspections;
    private final Dispositions dispositions;
    private final People people;

    Worklist(JointRepository joints, InspectionRepository inspections, Dispositions dispositions, People people) {
        this.joints = joints;
        this.inspections = inspections;
        this.dispositions = dispositions;
        this.people = people;
    }

    /** One joint on the list; {@code todo} groups the rows by who has to act. */
    public record Row(
            UUID jointId,
            UUID inspectionId,
            String job,
            String lot,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            String inWords,
            @Nullable String position,
            @Nullable String welder,
            String stage,
            int revision,
            String verdict,
            boolean signed,
            int rejects,
            int todos,
            boolean begun,
            @Nullable String holder,
            String next,
            String group) {}

    @Transactional(readOnly = true)
    public List<Row> rows(Actor actor) {
        Map<UUID, List<InspectionEntity>> looks = new HashMap<>();
        inspections
                .findAll()
                .forEach(i -> looks.computeIfAbsent(i.jointId(), k -> new ArrayList<>())
                        .add(i));
        Map<UUID, Integer> decided = dispositions.counts();
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        List<Row> rows = new ArrayList<>();
        for (JointEntity j : joints.findAllByOrderByJobAscLotAscMarkAscWeldNoAscSideAsc()) {
            looks.getOrDefault(j.id(), List.of()).stream()
                    .filter(i -> !actor.role().seesSignedOnly() || i.state() == InspectionEntity.State.SIGNED)
                    .max(java.util.Comparator.comparingInt(InspectionEntity::revision))
                    .ifPresent(i -> rows.add(row(j, i, decided.getOrDefault(i.id(), 0), names)));
        }
        return rows;
    }

    private static Row row(JointEntity j, InspectionEntity i, int decided, Map<UUID, String> names) {
        boolean signed = i.state() == InspectionEntity.State.SIGNED;
        long undisposed = signed && i.verdict().equals("reject") ? Math.max(0, i.rejects() - decided) : 0;
        return new Row(
                j.id(),
                i.id(),
                j.job(),
                j.lot(),
                j.mark(),
                j.weldNo(),
                j.side(),
                j.inWords(),
                j.position(),
                j.welder(),
                i.stage(),
                i.revision(),
                i.verdict(),
                signed,
                i.rejects(),
                i.todos(),
                i.entryCount() > 0,
                i.holder() == null ? null : names.get(i.holder()),
                NextStep.words(i, undisposed),
                group(i, signed, undisposed));
    }

    private static String group(InspectionEntity i, boolean signed, long undisposed) {
        if (signed) {
            return !i.verdict().equals("reject") ? "done" : undisposed > 0 ? "dispose" : "repair";
        }
        if (i.entryCount() == 0) {
            return "look";
        }
        return i.verdict().equals("incomplete") ? "walk" : "sign";
    }
}
