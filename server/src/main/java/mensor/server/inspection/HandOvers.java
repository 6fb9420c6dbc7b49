package mensor.server.inspection;

import java.time.Clock;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** An inspection in progress given to another inspector, with what was inspected so far. */
@Service
public class HandOvers {
    private final Bench bench;
    private final HandoverRepository handovers;
    private final People people;
    private final Clock clock;

    HandOvers(Bench bench, HandoverRepository handovers, People people, Clock clock) {
        this.bench = bench;
        this.handovers = handovers;
        this.people = people;
        this.clock = clock;
    }

    @Transactional
    public Bench.State handOver(Actor actor, UUID inspectionId, UUID to, String note, InspectedStretch inspected) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        checkInspected(inspection, inspected);
        if (to == null) {
            throw Refusal.invalid("to", "to whom?");
        }
        Actor next = people.get(to);
        if (!next.inspects()) {
            throw Refusal.invalid("to", next.name() + " is no inspector");
        }
        if (next.id().equals(inspection.holder())) {
            throw Refusal.invalid("to", next.name() + " has it in hand already");
        }
        handovers.save(new HandoverEntity(
                inspection.id(), actor.id(), next.id(), note, inspected.from(), inspected.to(), clock.instant()));
        inspection.setHolder(next.id());
        return bench.judged(inspection);
    }

    /** The stretch that somebody inspected before handing over; absent where nothing is said. */
    @AllOptional
    public record InspectedStretch(String from, String to) {
        static final InspectedStretch NOT_SAID = new InspectedStretch(null, null);
    }

    private void checkInspected(InspectionEntity inspection, InspectedStretch inspected) {
        if (inspected.from() == null && inspected.to() == null) {
            return;
        }
        if (inspected.from() == null || inspected.to() == null) {
            throw Refusal.invalid(inspected.from() == null ? "from" : "to", "say from where to where you inspected");
        }
        bench.checkOnWeld(inspection, "from", inspected.from(), inspected.to());
    }
}
