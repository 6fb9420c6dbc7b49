package mensor.server.inspection;

import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.EvaluationDocument;
import mensor.exchange.InspectionParts;
import mensor.judge.Evaluation;
import mensor.look.Verdict;
import mensor.server.people.Actor;
import mensor.server.record.Signatures;
import mensor.server.web.AllOptional;
import mensor.server.web.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Signing a look: accept or reject as it was judged, never an incomplete one; what is signed is frozen. */
@Service
public class Signing {
    private final Bench bench;
    private final Signatures signatures;
    private final JsonMapper json;
    private final Clock clock;

    Signing(Bench bench, Signatures signatures, JsonMapper json, Clock clock) {
        this.bench = bench;
        this.signatures = signatures;
        this.json = json;
        this.clock = clock;
    }

    /**
     * The signature as the inspector gives it.
     *
     * @param version the inspection's, as it was shown; somebody else's later entry refuses the signature
     */
    @AllOptional
    public record SignForm(long version, String verdict, String capacity, String certificate) {}

    @Transactional
    public Bench.Opened sign(Actor actor, UUID inspectionId, SignForm form) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        if (form.version() != inspection.version()) {
            throw Refused.stale("somebody changed this look after it was shown to you; look again, then sign", null);
        }
        if (!"QC".equals(form.capacity()) && !"verification".equals(form.capacity())) {
            throw Refused.invalid("capacity", "QC (for the fabricator) or verification (for the owner) is wanted");
        }
        Bench.Opened opened = bench.open(actor, inspectionId);
        Evaluation evaluation = opened.judged().evaluation();
        if (evaluation.verdict() == Verdict.INCOMPLETE) {
            throw Refused.conflict(
                    "the look is incomplete: " + evaluation.todo().size() + " still to do; finish it, or hand it over");
        }
        if (!evaluation.verdict().id().equals(form.verdict())) {
            throw Refused.conflict(
                    "the look comes to " + evaluation.verdict().id() + "; it cannot be signed as " + form.verdict());
        }
        Instant now = clock.instant();
        String certificate =
                form.certificate() == null || form.certificate().isBlank() ? actor.certificate() : form.certificate();
        String canonical = canonical(opened, actor, form, certificate, now);
        signatures.freeze(new Signatures.Frozen(
                inspectionId, form.verdict(), actor.id(), actor.name(), certificate, form.capacity(), now, canonical));
        inspection.sign();
        return bench.open(actor, inspectionId);
    }

    /** The look, its evaluation and the signature as one text with sorted fields. */
    private String canonical(Bench.Opened o, Actor actor, SignForm form, String certificate, Instant now) {
        Map<String, String> signature = new LinkedHashMap<>();
        signature.put("at", now.toString());
        signature.put("by", actor.name());
        signature.put("capacity", form.capacity());
        signature.put("job", o.joint().job());
        signature.put("lot", o.joint().lot());
        signature.put("revision", String.valueOf(o.inspection().revision()));
        signature.put("stage", o.inspection().stage());
        signature.put("verdict", form.verdict());
        if (certificate != null) {
            signature.put("certificate", certificate);
        }
        if (o.inspection().amends() != null) {
            signature.put("amends", o.inspection().amends().toString());
            signature.put("reason", o.inspection().reason());
            signatures.of(o.inspection().amends()).ifPresent(old -> signature.put("amendsSha256", old.sha256()));
        }
        String mark = o.joint().mark();
        return InspectionParts.canonical("{\"format\":\"mensor-record/1\",\"inspection\":"
                + o.judged().document().canonical() + ",\"evaluation\":"
                + EvaluationDocument.canonical("", mark, o.judged().evaluation()) + ",\"signature\":"
                + json.writeValueAsString(signature) + "}");
    }
}
