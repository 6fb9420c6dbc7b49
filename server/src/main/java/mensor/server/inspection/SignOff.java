package mensor.server.inspection;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mensor.exchange.InspectionParts;
import mensor.exchange.SignedRecord;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.gauge.Gauges;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.photo.StoredPhoto;
import mensor.server.record.Signatures;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Signing an inspection: accept or reject as it was judged, never an incomplete one; what is signed is frozen. */
@Service
public class SignOff {
    private final Bench bench;
    private final InspectionRepository inspections;
    private final Signatures signatures;
    private final People people;
    private final Jobs jobs;
    private final Gauges gauges;
    private final CriteriaChecks books;
    private final GaugeFaults faults;
    private final Photos photos;
    private final SignedDisplay shown;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;
    private final Clock clock;

    SignOff(
            Bench bench,
            InspectionRepository inspections,
            Signatures signatures,
            People people,
            Jobs jobs,
            Gauges gauges,
            CriteriaChecks books,
            GaugeFaults faults,
            Photos photos,
            SignedDisplay shown,
            ApplicationEventPublisher events,
            JsonMapper json,
            Clock clock) {
        this.events = events;
        this.books = books;
        this.faults = faults;
        this.photos = photos;
        this.shown = shown;
        this.people = people;
        this.jobs = jobs;
        this.gauges = gauges;
        this.bench = bench;
        this.inspections = inspections;
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
    public Bench.State sign(Actor actor, UUID inspectionId, SignForm form) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        if (form.version() != inspection.version()) {
            throw Refusal.stale(
                    "somebody changed this inspection after it was shown to you; check it, then sign", null);
        }
        if (!inspection.capacity().equals(form.capacity())) {
            throw Refusal.invalid(
                    "capacity",
                    "this inspection is " + capacityWords(inspection.capacity())
                            + "; the other side inspects and signs in a record of its own");
        }
        people.maySign(actor, inspection.capacity());
        Bench.State opened = bench.open(actor, inspectionId);
        Evaluation evaluation = opened.judged().evaluation();
        books.stop(evaluation.book()).ifPresent(why -> {
            throw Refusal.conflict(why);
        });
        faults.of(opened).stream().filter(f -> f.waived() == null).findFirst().ifPresent(f -> {
            throw Refusal.conflict(
                    f.fault() + ": read again with another gauge, or have the quality manager waive it with a reason");
        });
        if (evaluation.verdict() == Verdict.INCOMPLETE) {
            throw Refusal.conflict("the inspection is incomplete: "
                    + evaluation.todo().size() + " still to do; finish it, or hand it over");
        }
        if (!evaluation.verdict().id().equals(form.verdict())) {
            throw Refusal.conflict("the inspection comes to "
                    + evaluation.verdict().id() + "; it cannot be signed as " + form.verdict());
        }
        Instant now = clock.instant();
        String certificate =
                form.certificate() == null || form.certificate().isBlank() ? actor.certificate() : form.certificate();
        UUID job = jobs.forSigning(opened.joint().jobId()).id();
        Optional<Signatures.ChainPlace> before = signatures.last(job);
        int place = before.map(b -> b.place() + 1).orElse(1);
        List<String> notes = new ArrayList<>(opened.judged().contractNotes());
        notes.addAll(books.differing(evaluation.book()));
        String asSigned = shown.write(opened.judged().inspection(), evaluation, notes);
        Map<String, String> signature = signature(opened, actor, form, certificate, now, place, before);
        signature.put("shownSha256", Signatures.sha256(asSigned));
        String canonical =
                SignedRecord.write(opened.judged().document(), evaluation, json.writeValueAsString(signature));
        signatures.freeze(new Signatures.SignatureContent(
                inspectionId,
                job,
                place,
                form.verdict(),
                actor.id(),
                actor.name(),
                certificate,
                form.capacity(),
                now,
                canonical,
                asSigned));
        // the clock and the register go on; what they said at the signature stands
        inspection.setConditions(InspectionParts.canonical(
                json.writeValueAsString(opened.judged().conditions())));
        inspection.sign(InspectionParts.canonical(
                json.writeValueAsString(opened.judged().contract())));
        events.publishEvent(new InspectionSigned(inspectionId));
        inspections.flush();
        return bench.open(actor, inspectionId);
    }

    private static String capacityWords(String capacity) {
        return capacity.equals(StoredInspection.QC) ? "QC (for the fabricator)" : "verification (for the owner)";
    }

    private static void put(Map<String, String> fields, String field, String value) {
        if (value != null && !value.isBlank()) {
            fields.put(field, value);
        }
    }

    /** After a repair: which record it follows, what was repaired, what was inspected beside it. */
    private void repaired(Map<String, String> signature, Bench.State o) {
        if (o.inspection().follows() == null) {
            return;
        }
        RepairSummary since = json.readValue(o.inspection().repaired(), RepairSummary.class);
        signatures.of(o.inspection().follows()).ifPresent(before -> signature.put("followsSha256", before.sha256()));
        put(signature, "repaired", since.shown(o.joint().unit()));
        put(signature, "defects", String.join(", ", since.defects()));
        ConditionsForm c = o.judged().conditions();
        put(signature, "reverseFace", c.reverseBy() == null ? "inspected" : "covered by " + c.reverseBy());
    }

    /** Who signs what, and all that stood beside it. */
    private Map<String, String> signature(
            Bench.State o,
            Actor actor,
            SignForm form,
            String certificate,
            Instant now,
            int place,
            Optional<Signatures.ChainPlace> before) {
        Map<String, String> signature = new LinkedHashMap<>();
        signature.put("chainPlace", String.valueOf(place));
        before.ifPresent(b -> signature.put("previousSha256", b.sha256()));
        signature.put("at", now.toString());
        signature.put("by", actor.name());
        signature.put("capacity", form.capacity());
        signature.put("job", jobs.get(o.joint().jobId()).name());
        signature.put("lot", o.joint().lot());
        signature.put("revision", String.valueOf(o.inspection().revision()));
        signature.put("stage", o.inspection().stage());
        signature.put("verdict", form.verdict());
        repaired(signature, o);
        put(signature, "drawing", o.joint().drawing());
        put(signature, "drawingRev", o.joint().drawingRev());
        put(signature, "wps", o.joint().wps());
        ConditionsForm seen = o.judged().conditions();
        put(signature, "light", seen.lightLevel());
        put(signature, "access", seen.access());
        if (!seen.gaugeIds().isEmpty()) {
            signature.put("gauges", String.join(", ", gauges.names(seen.gaugeIds())));
        }
        if (certificate != null) {
            signature.put("certificate", certificate);
        }
        Contract contract = o.judged().contract();
        put(
                signature,
                "deviations",
                contract.deviations().stream()
                        .map(d -> d.document() + " (" + d.engineer() + ", " + d.date() + "): " + d.criterion())
                        .collect(Collectors.joining("; ")));
        put(
                signature,
                "waivedGauges",
                faults.of(o).stream()
                        .filter(f -> f.waived() != null)
                        .map(f -> f.fault() + "; waived by " + f.waived().by() + ": "
                                + f.waived().reason())
                        .collect(Collectors.joining("; ")));
        if (contract.terms().isGuarded()) {
            put(
                    signature,
                    "guardedAcceptance",
                    contract.terms().factor().toPlainString() + " u, "
                            + contract.terms().guardNote());
        }
        put(
                signature,
                "photos",
                photos.of(o.inspection().id()).stream()
                        .filter(f -> !f.isWithdrawn())
                        .map(StoredPhoto::sha256)
                        .sorted()
                        .collect(Collectors.joining(", ")));
        books.check(o.judged().evaluation().book())
                .ifPresent(c -> put(
                        signature,
                        "bookChecked",
                        c.checkedOn() + " by " + c.checkedBy() + " against " + c.copyEdition()));
        if (o.inspection().amends() != null) {
            signature.put("amends", o.inspection().amends().toString());
            signature.put("reason", o.inspection().reason());
            signatures.of(o.inspection().amends()).ifPresent(old -> signature.put("amendsSha256", old.sha256()));
        }
        return signature;
    }
}
