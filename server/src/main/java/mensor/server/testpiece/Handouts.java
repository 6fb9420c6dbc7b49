package mensor.server.testpiece;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.testpiece.PieceView.HandoutView;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Drill;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Drills handed out with a day: done once a piece by that drill was recorded from then on. */
@Component
public class Handouts {
    private final HandoutRepository handouts;
    private final PieceRepository pieces;
    private final Drills drills;
    private final People people;
    private final Clock clock;

    Handouts(HandoutRepository handouts, PieceRepository pieces, Drills drills, People people, Clock clock) {
        this.handouts = handouts;
        this.pieces = pieces;
        this.drills = drills;
        this.people = people;
        this.clock = clock;
    }

    /** @param welders the logins of learners */
    @AllOptional
    public record HandoutForm(String drill, List<String> welders, LocalDate due) {}

    List<HandoutView> of(String welder) {
        return views(handouts.findByWelderAndWithdrawnFalseOrderByDue(welder));
    }

    List<HandoutView> all() {
        return views(handouts.findByWithdrawnFalseOrderByDue());
    }

    private List<HandoutView> views(List<HandoutEntity> list) {
        Map<String, String> names = new java.util.HashMap<>();
        people.all().forEach(a -> names.put(a.login(), a.name()));
        Map<String, Drill> known = drills.ever();
        LocalDate today = LocalDate.now(clock);
        return list.stream()
                .map(h -> {
                    boolean done = isDone(h);
                    return new HandoutView(
                            h.id(),
                            h.drill(),
                            known.containsKey(h.drill()) ? known.get(h.drill()).title() : h.drill(),
                            h.welder(),
                            names.getOrDefault(h.welder(), h.welder()),
                            h.due(),
                            done,
                            !done && h.due().isBefore(today));
                })
                .toList();
    }

    private boolean isDone(HandoutEntity h) {
        LocalDate given = LocalDate.ofInstant(h.givenAt(), ZoneId.systemDefault());
        return pieces.existsByWelderAndDrillAndMadeGreaterThanEqualAndWithdrawnFalse(h.welder(), h.drill(), given);
    }

    @Transactional
    public void give(Actor actor, HandoutForm form) {
        if (form.drill() == null || drills.find(form.drill()).isEmpty()) {
            throw Refusal.invalid("drill", "which drill?");
        }
        if (form.welders() == null || form.welders().isEmpty()) {
            throw Refusal.invalid("welders", "who is to do it?");
        }
        if (form.due() == null) {
            throw Refusal.invalid("due", "by which day?");
        }
        List<String> learners = people.all().stream()
                .filter(a -> a.is(Role.LEARNER))
                .map(Actor::login)
                .toList();
        for (int i = 0; i < form.welders().size(); i++) {
            if (!learners.contains(form.welders().get(i))) {
                throw Refusal.invalid("welders[" + i + "]", "is no learner here");
            }
        }
        form.welders().stream()
                .distinct()
                .forEach(w ->
                        handouts.save(new HandoutEntity(form.drill(), w, form.due(), actor.id(), clock.instant())));
        handouts.flush();
    }

    @Transactional
    public void takeBack(UUID id) {
        handouts.findById(id)
                .orElseThrow(() -> Refusal.notFound("that was not handed out"))
                .setWithdrawn(true);
        handouts.flush();
    }
}
