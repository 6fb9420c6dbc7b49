package mensor.server.testpiece;

import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Rubric;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How well welds are made in the eyes of their raters: each keeps a rating of one's own. */
@Service
public class Ratings {
    private static final int LONGEST_REASON = 200;

    private final RatingRepository ratings;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    Ratings(RatingRepository ratings, People people, JsonMapper json, Clock clock) {
        this.ratings = ratings;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    /** @param points for each line of the rubric */
    @AllOptional
    public record RatingForm(Map<String, Integer> points, String firstReason, String secondReason) {}

    public record PointView(String id, int points) {}

    /** @param own by who asks */
    public record RatingView(
            int sum, List<PointView> points, List<String> reasons, String by, boolean own, Instant at) {}

    @Transactional(readOnly = true)
    public List<RatingView> of(Actor actor, UUID inspectionId) {
        return ratings.findByInspectionIdOrderByRatedAt(inspectionId).stream()
                .map(r -> view(r, actor))
                .toList();
    }

    private RatingView view(RatingEntity r, Actor actor) {
        Map<String, Integer> points = json.readValue(r.points(), new TypeReference<>() {});
        return new RatingView(
                points.values().stream().mapToInt(i -> i).sum(),
                Arrays.stream(Rubric.values())
                        .map(p -> new PointView(p.id(), points.get(p.id())))
                        .toList(),
                List.of(r.firstReason(), r.secondReason()),
                people.nameOf(r.ratedBy()),
                r.ratedBy().equals(actor.id()),
                r.ratedAt());
    }

    @Transactional
    public void rate(Actor actor, UUID inspectionId, RatingForm form) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer rates nothing");
        }
        Map<Rubric, Integer> points = new EnumMap<>(Rubric.class);
        Map<String, Integer> given = form.points() == null ? Map.of() : form.points();
        given.forEach((id, n) -> points.put(
                Named.find(Rubric.class, id)
                        .orElseThrow(() -> Refusal.invalid("points." + id, "is no line of the rubric")),
                n));
        try {
            Rubric.sum(points);
        } catch (IllegalArgumentException e) {
            Rubric missing = Named.find(Rubric.class, e.getMessage()).orElseThrow();
            throw Refusal.invalid(
                    "points." + missing.id(), missing.title() + ": 0 to " + missing.most() + " are required");
        }
        reason("firstReason", form.firstReason(), "why, in a line");
        reason("secondReason", form.secondReason(), "why, in a second line");
        RatingEntity rating = ratings.findByInspectionIdAndRatedBy(inspectionId, actor.id())
                .orElseGet(() -> new RatingEntity(inspectionId, actor.id()));
        rating.set(
                json.writeValueAsString(given),
                form.firstReason().strip(),
                form.secondReason().strip(),
                clock.instant());
        ratings.saveAndFlush(rating);
    }

    private static void reason(String field, String value, String wanted) {
        if (value == null || value.isBlank() || value.length() > LONGEST_REASON) {
            throw Refusal.invalid(field, wanted + ", in up to " + LONGEST_REASON + " letters");
        }
    }
}
