package mensor.server.procedure;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.exchange.InspectionParts;
import mensor.exchange.ProcedureFile;
import mensor.exchange.UnreadableInput;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.weld.Procedure;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Welding procedures. A revision that a joint was set up with is frozen; what changes then is a new revision. */
@Service
public class Procedures {
    private static final Pattern NAME = Pattern.compile("(.+?)\\s+(?:rev\\.?\\s*)(\\S+)", Pattern.CASE_INSENSITIVE);

    private final ProcedureRepository procedures;
    private final JsonMapper json;
    private final Clock clock;

    Procedures(ProcedureRepository procedures, JsonMapper json, Clock clock) {
        this.procedures = procedures;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<StoredProcedure> all() {
        return List.copyOf(procedures.findAllByOrderByNumberAscCreatedAtAsc());
    }

    @Transactional(readOnly = true)
    public StoredProcedure get(UUID id) {
        return entity(id);
    }

    private ProcedureEntity entity(UUID id) {
        return procedures.findById(id).orElseThrow(() -> Refusal.notFound("there is no such procedure"));
    }

    @Transactional(readOnly = true)
    public Optional<Procedure> read(UUID id) {
        return id == null ? Optional.empty() : procedures.findById(id).map(ProcedureEntity::read);
    }

    /** By its words: {@code W-12 rev B}, or {@code W-12} for the newest revision. */
    @Transactional(readOnly = true)
    public Optional<StoredProcedure> named(String words) {
        Matcher m = NAME.matcher(words.strip());
        if (m.matches()) {
            return procedures
                    .findByNumberAndRevision(m.group(1).strip(), m.group(2))
                    .map(StoredProcedure.class::cast);
        }
        return procedures.findFirstByNumberOrderByCreatedAtDesc(words.strip()).map(StoredProcedure.class::cast);
    }

    /** Reads what was typed or sent in a file. */
    public Procedure check(String document) {
        try {
            return ProcedureFile.read(document);
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }

    public String document(ProcedureForm form) {
        return json.writeValueAsString(form);
    }

    @Transactional
    public StoredProcedure create(Actor actor, String document) {
        requireRole(actor);
        Procedure procedure = check(document);
        if (procedures
                .findByNumberAndRevision(procedure.number(), procedure.revision())
                .isPresent()) {
            throw Refusal.invalid("revision", procedure.name() + " is there already; give it another revision");
        }
        ProcedureEntity entity = new ProcedureEntity(UUID.randomUUID(), clock.instant(), actor.id());
        return store(entity, procedure, document);
    }

    /** @param used how many joints were set up with it */
    @Transactional
    public StoredProcedure change(Actor actor, UUID id, long version, String document, long used) {
        requireRole(actor);
        ProcedureEntity entity = entity(id);
        if (used > 0) {
            throw Refusal.conflict(entity.read().name() + " is frozen: " + used
                    + (used == 1 ? " joint was" : " joints were") + " set up with it. Make a new revision");
        }
        if (entity.version() != version) {
            throw Refusal.stale("somebody changed this procedure meanwhile; check it again", null);
        }
        Procedure procedure = check(document);
        procedures
                .findByNumberAndRevision(procedure.number(), procedure.revision())
                .filter(p -> !p.id().equals(id))
                .ifPresent(p -> {
                    throw Refusal.invalid("revision", procedure.name() + " is there already");
                });
        return store(entity, procedure, document);
    }

    private ProcedureEntity store(ProcedureEntity entity, Procedure procedure, String document) {
        if (procedure.number().length() > 40) {
            throw Refusal.invalid("number", "at most 40 letters");
        }
        if (procedure.revision().length() > 20 || procedure.revision().contains(" ")) {
            throw Refusal.invalid("revision", "up to 20 letters without a space");
        }
        entity.set(procedure, InspectionParts.canonical(document));
        return procedures.saveAndFlush(entity);
    }

    private static void requireRole(Actor actor) {
        if (!actor.is(Role.WELDING_ENGINEER, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("procedures are written by the welding engineer or the quality manager");
        }
    }
}
