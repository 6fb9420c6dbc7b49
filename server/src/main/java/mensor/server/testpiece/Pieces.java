package mensor.server.testpiece;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.inspection.Verdict;
import mensor.rejectrate.Interval;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import mensor.testpiece.PieceSetting;
import mensor.testpiece.Purpose;
import mensor.testpiece.ReTest;
import mensor.weld.InvalidField;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Test pieces: recorded, changed, pictured, rated, tested, and taken to the bench. A learner does so with own ones alone. */
@Service
public class Pieces {
    private static final int MOST_ROWS = 500;
    private static final int MOST_PICTURES = 12;
    private static final int LONGEST = 10_000;
    /** Fewer pieces than this say little of a share. */
    private static final int ENOUGH = 20;

    private final PieceRepository pieces;
    private final PiecePictureRepository pictures;
    private final PieceStates states;
    private final PieceJoints joints;
    private final PieceTrace trace;
    private final Drills drills;
    private final Specimens specimens;
    private final Ratings ratings;
    private final Photos photos;
    private final JsonMapper json;
    private final Clock clock;

    Pieces(
            PieceRepository pieces,
            PiecePictureRepository pictures,
            PieceStates states,
            PieceJoints joints,
            PieceTrace trace,
            Drills drills,
            Specimens specimens,
            Ratings ratings,
            Photos photos,
            JsonMapper json,
            Clock clock) {
        this.pieces = pieces;
        this.pictures = pictures;
        this.states = states;
        this.joints = joints;
        this.trace = trace;
        this.drills = drills;
        this.specimens = specimens;
        this.ratings = ratings;
        this.photos = photos;
        this.json = json;
        this.clock = clock;
    }

    /** @param version the one that was shown; absent for a new piece */
    @mensor.server.web.AllOptional
    public record PieceChange(PieceForm form, Long version) {}

    /** The newest, of those that are sought. */
    @Transactional(readOnly = true)
    public PieceView.PieceRows rows(Actor actor, String find) {
        String welder = actor.seesOwnPiecesOnly() ? actor.login() : null;
        String sought = find == null ? "" : find.strip().toLowerCase(Locale.ROOT);
        List<PieceEntity> found = pieces.sought(welder, sought, Limit.of(MOST_ROWS));
        return new PieceView.PieceRows(
                states.of(actor, found).stream().map(PieceStates.State::row).toList(), pieces.count(welder, sought));
    }

    /** How often the specimens rejected what the eye accepted. */
    @Transactional(readOnly = true)
    public PieceView.EyeAgainstTest eye(Actor actor) {
        List<PieceView.TestedPiece> tested = againstTheEye(actor);
        int looked = tested.size();
        int broke = (int) tested.stream().filter(PieceView.TestedPiece::broke).count();
        Interval share = Interval.wilson(broke, Math.max(1, looked));
        return new PieceView.EyeAgainstTest(
                looked, broke, looked == 0 ? 0 : (double) broke / looked, share.low(), share.high(), looked >= ENOUGH);
    }

    /** What the eye accepted and specimens tested to a decision: the pieces of their own and the welds judged as a welder's test, each once. */
    @Transactional(readOnly = true)
    public List<PieceView.TestedPiece> againstTheEye(Actor actor) {
        Stream<PieceView.TestedPiece> own = states.of(actor, pieces.tested()).stream()
                .filter(s -> s.looksGood()
                        && s.broke().filter(v -> v != Verdict.INCOMPLETE).isPresent())
                .map(s -> new PieceView.TestedPiece(
                        s.row().id(),
                        null,
                        s.row().number(),
                        s.row().welderName(),
                        s.broke().orElseThrow() == Verdict.REJECT));
        Stream<PieceView.TestedPiece> atTheBench = states.welds(actor, pieces.joints()).stream()
                .map(w -> new PieceView.TestedPiece(
                        null, w.inspection(), w.mark(), w.welder(), w.decision().lesson()));
        return Stream.concat(own, atTheBench).toList();
    }

    @Transactional(readOnly = true)
    public PieceView open(Actor actor, UUID id) {
        return view(actor, seen(actor, id));
    }

    private PieceView view(Actor actor, PieceEntity piece) {
        PieceView view = traced(states.of(actor, List.of(piece)).get(0).view());
        return isFailedTest(view) ? view.retested(ReTest.inWords(acceptedSince(actor, view))) : view;
    }

    /** A weld at the bench is traced there. */
    private PieceView traced(PieceView view) {
        if (view.likely().isEmpty() || view.jointId() != null) {
            return view;
        }
        List<String> causes = trace.of(
                view.form(),
                view.tests().stream()
                        .filter(t -> !t.withdrawn() && !t.replace())
                        .toList());
        return causes.isEmpty() ? view : view.traced(causes);
    }

    private static boolean isFailedTest(PieceView p) {
        return Purpose.QUALIFICATION.id().equals(p.form().purpose())
                && Verdict.REJECT.id().equals(p.verdict());
    }

    private int acceptedSince(Actor actor, PieceView failed) {
        List<PieceEntity> later =
                pieces
                        .findByWelderAndWithdrawnFalseOrderByMadeAscRecordedAtAsc(
                                failed.form().welder())
                        .stream()
                        .dropWhile(p -> !p.id().equals(failed.id()))
                        .skip(1)
                        .toList();
        return (int) states.of(actor, later).stream()
                .map(PieceStates.State::view)
                .filter(p -> Purpose.QUALIFICATION.id().equals(p.form().purpose())
                        && p.form().kind().equals(failed.form().kind())
                        && Objects.equals(position(p), position(failed))
                        && Verdict.ACCEPT.id().equals(p.verdict())
                        && !p.byAims())
                .count();
    }

    private static String position(PieceView p) {
        return p.form().settingsRead().get(PieceSetting.POSITION);
    }

    /** A piece that the person may see; another's is to a learner as if it were not there. */
    PieceEntity seen(Actor actor, UUID id) {
        return pieces.findById(id)
                .filter(p -> !actor.seesOwnPiecesOnly() || p.welder().equals(actor.login()))
                .orElseThrow(() -> Refusal.notFound("there is no such test piece"));
    }

    private PieceEntity forChange(Actor actor, UUID id) {
        checkRecords(actor);
        return seen(actor, id);
    }

    private static void checkRecords(Actor actor) {
        if (!actor.setsUp() && !actor.is(Role.INSTRUCTOR, Role.LEARNER)) {
            throw Refusal.forbidden(
                    "test pieces are recorded by the learner, an instructor, an inspector, the welding engineer or the quality manager");
        }
    }

    @Transactional
    public PieceView put(Actor actor, UUID id, PieceChange change) {
        checkRecords(actor);
        if (change.form() == null) {
            throw Refusal.invalid("form", "the test piece is missing");
        }
        PieceEntity standing = pieces.findById(id).orElse(null);
        if (standing != null) {
            seen(actor, id);
            if (!standing.version().equals(change.version())) {
                throw Refusal.stale("somebody changed this test piece meanwhile; check again", view(actor, standing));
            }
        }
        PieceForm form = completed(actor, change.form(), standing);
        form.check();
        if (form.drill() != null) {
            checkAims(form, standing);
        }
        Optional.ofNullable(form.previous()).ifPresent(p -> {
            if (p.equals(id) || !seen(actor, p).welder().equals(form.welder())) {
                throw Refusal.invalid("previous", "another piece of the same welder is required");
            }
        });
        String content = json.writeValueAsString(form);
        if (content.length() > LONGEST) {
            throw Refusal.invalid("note", "this is more than a test piece keeps");
        }
        PieceEntity piece = standing == null ? new PieceEntity(id, actor.id(), clock.instant()) : standing;
        piece.set(form, content);
        return view(actor, pieces.saveAndFlush(piece));
    }

    /** A piece from its file: as it was recorded and what was tested; what it comes to is found anew. */
    @Transactional
    public PieceView take(Actor actor, String file) {
        JsonNode root;
        PieceForm form;
        try {
            root = json.readTree(file);
            form = json.treeToValue(root.path("piece"), PieceForm.class);
        } catch (JacksonException e) {
            throw Refusal.invalid("file", "this is no mensor-test-piece/1 file: " + e.getOriginalMessage());
        }
        if (!"mensor-test-piece/1".equals(root.path("format").asString("")) || form == null) {
            throw Refusal.invalid("format", "\"mensor-test-piece/1\" with a piece is required");
        }
        UUID id = UUID.randomUUID();
        PieceView view = put(actor, id, new PieceChange(form.alone(), null));
        int n = 0;
        for (JsonNode s : root.path("specimens")) {
            try {
                view = test(actor, id, UUID.randomUUID(), json.treeToValue(s.path("said"), SpecimenForm.class));
            } catch (JacksonException e) {
                throw Refusal.invalid("specimens[" + n + "]", e.getOriginalMessage());
            }
            n++;
        }
        return view;
    }

    /** The number and the day, where they were left open; a learner's piece is the learner's. */
    private PieceForm completed(Actor actor, PieceForm form, PieceEntity standing) {
        String welder = actor.seesOwnPiecesOnly()
                ? actor.login()
                : form.welder() == null ? "" : form.welder().strip();
        String number = form.number() == null || form.number().isBlank()
                ? standing == null
                        ? String.valueOf(pieces.count(welder, "") + 1)
                        : json.readValue(standing.content(), PieceForm.class).number()
                : form.number().strip();
        return form.with(number, welder, form.made() == null ? LocalDate.now(clock) : form.made());
    }

    private void checkAims(PieceForm form, PieceEntity standing) {
        var drill = (standing == null ? drills.find(form.drill()) : drills.ever(form.drill()))
                .orElseThrow(() -> Refusal.invalid("drill", "there is no such drill"));
        for (String aim : form.measuredRead().keySet()) {
            if (drill.aims().stream().noneMatch(a -> a.id().equals(aim))) {
                throw Refusal.invalid("measured." + aim, "is no aim of " + drill.title());
            }
        }
        try {
            mensor.testpiece.DrillCheck.of(drill, form.measuredRead(), form.unit());
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }

    @Transactional
    public PieceView setWithdrawn(Actor actor, UUID id, boolean off) {
        PieceEntity piece = forChange(actor, id);
        piece.setWithdrawn(off);
        return view(actor, pieces.saveAndFlush(piece));
    }

    @Transactional
    public PieceView addPicture(Actor actor, UUID id, UUID pictureId, PictureFile file) {
        PieceEntity piece = forChange(actor, id);
        PiecePictureEntity standing = pictures.findById(pictureId).orElse(null);
        if (standing != null && !standing.pieceId().equals(id)) {
            throw Refusal.conflict("that id belongs to another picture");
        }
        if (standing == null) {
            if (pictures.findByPieceIdInAndWithdrawnFalseOrderByAddedAt(List.of(id))
                            .size()
                    >= MOST_PICTURES) {
                throw Refusal.conflict("a test piece has up to " + MOST_PICTURES + " pictures; take one off first");
            }
            pictures.saveAndFlush(
                    new PiecePictureEntity(pictureId, id, photos.keep(file), actor.id(), clock.instant()));
        }
        return view(actor, piece);
    }

    @Transactional
    public PieceView takePictureOff(Actor actor, UUID id, UUID pictureId) {
        PieceEntity piece = forChange(actor, id);
        pictureOf(id, pictureId).setWithdrawn(true);
        pictures.flush();
        return view(actor, piece);
    }

    @Transactional(readOnly = true)
    public PictureFile picture(Actor actor, UUID id, UUID pictureId) {
        seen(actor, id);
        return photos.kept(pictureOf(id, pictureId).sha256());
    }

    private PiecePictureEntity pictureOf(UUID id, UUID pictureId) {
        return pictures.findById(pictureId)
                .filter(p -> p.pieceId().equals(id))
                .orElseThrow(() -> Refusal.notFound("there is no such picture"));
    }

    @Transactional
    public PieceView rate(Actor actor, UUID id, Ratings.RatingForm form) {
        PieceEntity piece = forChange(actor, id);
        ratings.ratePiece(actor, id, form);
        return view(actor, piece);
    }

    @Transactional
    public PieceView test(Actor actor, UUID id, UUID specimen, SpecimenForm form) {
        PieceEntity piece = ownTests(actor, id);
        specimens.recordOfPiece(
                actor, id, json.readValue(piece.content(), PieceForm.class).unit(), specimen, form);
        return view(actor, piece);
    }

    @Transactional
    public PieceView setTestWithdrawn(Actor actor, UUID id, UUID specimen, boolean off) {
        PieceEntity piece = ownTests(actor, id);
        specimens.setWithdrawnOfPiece(id, specimen, off);
        return view(actor, piece);
    }

    private PieceEntity ownTests(Actor actor, UUID id) {
        PieceEntity piece = forChange(actor, id);
        if (piece.jointId() != null) {
            throw Refusal.conflict(
                    "this piece has a weld at the bench: its specimens are recorded with its cutting plan");
        }
        return piece;
    }

    /** The piece of a weld that is at the bench already; made from it where there is none yet. */
    @Transactional
    public PieceView ofWeld(Actor actor, UUID jointId) {
        checkRecords(actor);
        Optional<PieceEntity> standing = pieces.findByJointId(jointId);
        if (standing.isPresent()) {
            return view(actor, seen(actor, standing.get().id()));
        }
        PieceForm form = joints.read(jointId, LocalDate.now(clock));
        form.check();
        PieceEntity piece = new PieceEntity(UUID.randomUUID(), actor.id(), clock.instant());
        piece.set(form, json.writeValueAsString(form));
        piece.setJoint(jointId);
        return view(actor, pieces.saveAndFlush(piece));
    }

    /** Takes the piece to the bench: sets its weld up there. */
    @Transactional
    public PieceView toTheBench(Actor actor, UUID id) {
        PieceEntity piece = forChange(actor, id);
        if (piece.jointId() != null) {
            throw Refusal.conflict("it is at the bench already");
        }
        piece.setJoint(joints.make(actor, json.readValue(piece.content(), PieceForm.class))
                .id());
        return view(actor, pieces.saveAndFlush(piece));
    }
}
