package mensor.server.photo;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.PictureMeasures.PicturePlace;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Notes, arrows and measures on a picture, kept apart from it. */
@Component
public class PictureMarks {
    private static final int LONGEST = 300;
    private static final int MOST_POINTS = 60;
    private static final int MOST = 100;

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;

    PictureMarks(JdbcClient jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A note at a place, an arrow from the first place to the second, or a measure through its places.
     *
     * @param kind note, arrow or measure
     * @param said the note's words, or the measure's
     */
    @AllOptional
    public record MarkForm(String kind, String said, List<PicturePlace> points) {}

    public record PictureMarkView(
            UUID id,
            String kind,
            String said,
            List<PicturePlace> points,
            @Nullable String by,
            Instant at) {}

    @Transactional(readOnly = true)
    public List<PictureMarkView> of(UUID photo) {
        return jdbc.sql(
                        "select m.id, m.content, p.name, m.added_at from picture_mark m join person p on p.id = m.added_by"
                                + " where m.photo_id = :photo and m.withdrawn = false order by m.added_at, m.id")
                .param("photo", photo)
                .query((r, n) -> {
                    MarkForm f = json.readValue(r.getString(2), MarkForm.class);
                    return new PictureMarkView(
                            r.getObject(1, UUID.class),
                            f.kind(),
                            f.said(),
                            f.points(),
                            r.getString(3),
                            r.getTimestamp(4).toInstant());
                })
                .list();
    }

    /** Adds a mark; the same one sent again changes nothing. */
    @Transactional
    public void add(Actor actor, UUID photo, UUID id, MarkForm form) {
        List<PicturePlace> points = form.points() == null ? List.of() : form.points();
        String kind = String.valueOf(form.kind());
        if (!List.of("note", "arrow", "measure").contains(kind)) {
            throw Refusal.invalid("kind", "note, arrow or measure is required");
        }
        if (form.said() == null || form.said().isBlank() || form.said().length() > LONGEST) {
            throw Refusal.invalid("said", "up to " + LONGEST + " letters are required");
        }
        int least = kind.equals("note") ? 1 : 2;
        if (points.size() < least
                || points.size() > MOST_POINTS
                || points.stream().anyMatch(p -> p == null || p.x() == null || p.y() == null)) {
            throw Refusal.invalid("points", least + " to " + MOST_POINTS + " places in the picture are required");
        }
        if (of(photo).size() >= MOST) {
            throw Refusal.conflict("a picture takes " + MOST + " marks; take some off");
        }
        if (stands(actor, photo, id)) {
            return;
        }
        try {
            jdbc.sql(
                            "insert into picture_mark (id, photo_id, content, added_by, added_at, withdrawn) values (?, ?, ?, ?, ?, false)")
                    .params(
                            id,
                            photo,
                            json.writeValueAsString(
                                    new MarkForm(kind, form.said().strip(), points)),
                            actor.id(),
                            clock.instant().atOffset(ZoneOffset.UTC))
                    .update();
        } catch (DuplicateKeyException e) {
            throw Refusal.conflict("that id belongs to another mark");
        }
    }

    private boolean stands(Actor actor, UUID photo, UUID id) {
        return jdbc.sql("select count(*) from picture_mark where id = :id and photo_id = :photo and added_by = :by")
                        .param("id", id)
                        .param("photo", photo)
                        .param("by", actor.id())
                        .query(Integer.class)
                        .single()
                == 1;
    }

    /** One's own mark; it stays in the database. */
    @Transactional
    public void takeOff(Actor actor, UUID photo, UUID id) {
        int off = jdbc.sql(
                        "update picture_mark set withdrawn = true where id = :id and photo_id = :photo and added_by = :by")
                .param("id", id)
                .param("photo", photo)
                .param("by", actor.id())
                .update();
        if (off == 0) {
            throw Refusal.notFound("there is no such mark of yours");
        }
    }
}
