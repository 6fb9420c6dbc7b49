package mensor.server.testpiece;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.testpiece.PieceView.ClassView;
import mensor.server.testpiece.PieceView.FaultView;
import mensor.server.testpiece.PieceView.HandoutView;
import mensor.server.testpiece.PieceView.LearnerView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The class: each learner, how far, and the faults that are common. */
@Service
public class SchoolClass {
    private static final int RECENT = 5;

    private final People people;
    private final PieceRepository pieces;
    private final PieceStates states;
    private final Handouts handouts;

    SchoolClass(People people, PieceRepository pieces, PieceStates states, Handouts handouts) {
        this.people = people;
        this.pieces = pieces;
        this.states = states;
        this.handouts = handouts;
    }

    @Transactional(readOnly = true)
    public ClassView open(Actor actor) {
        List<HandoutView> given = handouts.all();
        Map<String, Integer> faults = new HashMap<>();
        List<LearnerView> learners = people.all().stream()
                .filter(a -> a.is(Role.LEARNER))
                .sorted(Comparator.comparing(Actor::name))
                .map(a -> learner(actor, a, given, faults))
                .toList();
        return new ClassView(learners, byCount(faults), given);
    }

    private LearnerView learner(Actor actor, Actor learner, List<HandoutView> given, Map<String, Integer> ofAll) {
        List<PieceStates.State> own =
                states.of(actor, pieces.findByWelderAndWithdrawnFalseOrderByMadeAscRecordedAtAsc(learner.login()));
        Map<String, Integer> faults = new HashMap<>();
        own.stream().flatMap(s -> s.view().faults().stream()).forEach(f -> {
            faults.merge(f.fault(), f.count(), Integer::sum);
            ofAll.merge(f.fault(), f.count(), Integer::sum);
        });
        List<Double> scores =
                own.stream().map(s -> s.view().score()).filter(Objects::nonNull).toList();
        PieceStates.State last = own.isEmpty() ? null : own.get(own.size() - 1);
        return new LearnerView(
                learner.login(),
                learner.name(),
                own.size(),
                last == null ? null : last.row().made(),
                scores.isEmpty() ? null : scores.get(0),
                scores.isEmpty() ? null : mean(scores.subList(Math.max(0, scores.size() - RECENT), scores.size())),
                last == null ? null : last.row().drill(),
                byCount(faults).stream().map(FaultView::fault).findFirst().orElse(null),
                (int) own.stream().filter(s -> s.view().lesson()).count(),
                given.stream().filter(h -> h.welder().equals(learner.login())).toList());
    }

    private static double mean(List<Double> scores) {
        return Math.round(scores.stream().collect(Collectors.averagingDouble(d -> d)) * 10) / 10.0;
    }

    private static List<FaultView> byCount(Map<String, Integer> faults) {
        return faults.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed().thenComparing(Map.Entry::getKey))
                .map(e -> new FaultView(e.getKey(), e.getValue(), null))
                .toList();
    }
}
