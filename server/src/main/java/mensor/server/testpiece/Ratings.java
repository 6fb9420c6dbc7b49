package mensor.server.testpiece;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.testpiece.Rubric;
import mensor.weld.InvalidField;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** How well welds and test pieces are made in the eyes of their raters: each keeps a rating of one's own. */
@Service
public class Ratings {
    private static final int LONGEST_REASON = 200;

    private final RatingRepository ratings;
    private final Rubrics rubrics;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    Ratings(RatingRepository ratings, Rubrics rubrics, People people, JsonMapper json, Clock clock) {
        this.ratings = ratings;
        this.rubrics = rubrics;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    /** @param points for each line of the rubric */
    @AllOptional
    public record RatingForm(Map<String, Integer> points, String firstReason, String secondReason) {}

    /** @param most that the line could earn when it was rated */
    public record PointView(String id, String title, int points, int most) {}

    /** @param own by who asks */
    public record RatingView(
            int sum, List<PointView> points, List<String> reasons, String by, boolean own, Instant at) {}

    @Transactional(readOnly = true)
    public List<RatingView> of(Actor actor, UUID inspectionId) {
        return ratings.findByInspectionIdOrderByRatedAt(inspectionId).stream()
                .map(r -> view(r, actor))
                .toList();
    }

    /** Of pieces, by piece. */
    Map<UUID, List<RatingView>> ofPieces(Actor actor, Collection<UUID> pieces) {
        return pieces.isEmpty()
                ? Map.of()
                : ratings.findByPieceIdInOrderByRatedAt(pieces).stream()
                        .collect(Collectors.groupingBy(
                                RatingEntity::pieceId, Collectors.mapping(r -> view(r, actor), Collectors.toList())));
    }

    /** By the rubric that held when it was rated. */
    private RatingView view(RatingEntity r, Actor actor) {
        Map<String, Integer> points = json.readValue(r.points(), new TypeReference<>() {});
        Rubric rubric = r.parts() == null ? Rubric.USUAL : json.readValue(r.parts(), Rubric.class);
        return new RatingView(
                points.values().stream().mapToInt(i -> i).sum(),
                rubric.parts().stream()
                        .map(p -> new PointView(p.id(), p.title(), points.getOrDefault(p.id(), 0), p.most()))
                        .toList(),
                java.util.stream.Stream.of(r.firstReason(), r.secondReason())
                        .filter(s -> !s.isBlank())
                        .toList(),
                people.nameOf(r.ratedBy()),
                r.ratedBy().equals(actor.id()),
                r.ratedAt());
    }

    @Transactional
    public void rate(Actor actor, UUID inspectionId, RatingForm form) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer rates nothing");
        }
        reason("firstReason", form.firstReason(), "why, in a line");
        reason("secondReason", form.secondReason(), "why, in a second line");
        keep(
                ratings.findByInspectionIdAndRatedBy(inspectionId, actor.id())
                        .orElseGet(() -> new RatingEntity(inspectionId, null, actor.id())),
                form);
    }

    /** Of a piece; a line why is welcome, not asked for. Whether the person may is known. */
    void ratePiece(Actor actor, UUID piece, RatingForm form) {
        if (form.firstReason() != null && form.firstReason().length() > LONGEST_REASON) {
            throw Refusal.invalid("firstReason", "at most " + LONGEST_REASON + " letters");
        }
        keep(
                ratings.findByPieceIdAndRatedBy(piece, actor.id())
                        .orElseGet(() -> new RatingEntity(null, piece, actor.id())),
                form);
    }

    private void keep(RatingEntity rating, RatingForm form) {
        Rubric rubric = rubrics.standing();
        Map<String, Integer> given = form.points() == null ? Map.of() : form.points();
        try {
            rubric.sum(given);
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        rating.set(
                json.writeValueAsString(given),
                json.writeValueAsString(rubric),
                Optional.ofNullable(form.firstReason()).map(String::strip).orElse(""),
                Optional.ofNullable(form.secondReason()).map(String::strip).orElse(""),
                clock.instant());
        ratings.saveAndFlush(rating);
    }

    private static void reason(String field, String value, String wanted) {
        if (value == null || value.isBlank() || value.length() > LONGEST_REASON) {
            throw Refusal.invalid(field, wanted + ", in up to " + LONGEST_REASON + " letters");
        }
    }
}
