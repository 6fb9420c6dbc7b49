package mensor.server.inspection;

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
import mensor.judge.Evaluation;
import mensor.server.criteria.CriteriaChecks;
import mensor.server.gauge.Gauges;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.photo.StoredPhoto;
import mensor.server.record.Signatures;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Freezes a signed inspection at its place in the job's chain, with who signed it and all that stood beside it. */
@Component
class SignatureWriter {
    private final Signatures signatures;
    private final Jobs jobs;
    private final Gauges gauges;
    private final CriteriaChecks checks;
    private final GaugeFaults faults;
    private final Photos photos;
    private final InspectionScans scans;
    private final SignedDisplay shown;
    private final JsonMapper json;

    SignatureWriter(
            Signatures signatures,
            Jobs jobs,
            Gauges gauges,
            CriteriaChecks checks,
            GaugeFaults faults,
            Photos photos,
            InspectionScans scans,
            SignedDisplay shown,
            JsonMapper json) {
        this.signatures = signatures;
        this.jobs = jobs;
        this.gauges = gauges;
        this.checks = checks;
        this.faults = faults;
        this.photos = photos;
        this.scans = scans;
        this.shown = shown;
        this.json = json;
    }

    /**
     * Who signs, by what certificate, for which side.
     *
     * @param beside what the signer did on this weld in another role
     * @param rowSums the sums over the rows that are signed, by {@link SignedRows}
     */
    record Signing(
            Actor actor,
            String certificate,
            String verdict,
            String capacity,
            Instant at,
            List<String> beside,
            Map<String, String> rowSums) {}

    void freeze(Bench.State o, Signing signing) {
        Evaluation evaluation = o.judged().evaluation();
        UUID job = jobs.forSigning(o.joint().jobId()).id();
        Optional<Signatures.ChainPlace> before = signatures.last(job);
        int place = before.map(b -> b.place() + 1).orElse(1);
        List<String> notes = new ArrayList<>(o.judged().contractNotes());
        if (!signing.beside().isEmpty()) {
            notes.add(twoRoles(signing.actor(), signing.beside()));
        }
        notes.addAll(checks.differing(evaluation.book()));
        before.flatMap(b -> signatures.of(b.inspectionId()))
                .filter(b -> b.at().isAfter(signing.at()))
                .ifPresent(b -> notes.add("By the clock of this Mensor the record before this one was signed later, on "
                        + b.at() + ": the clock was set back."));
        String asSigned = shown.write(o.judged().inspection(), evaluation, notes);
        Map<String, String> signature = signature(o, signing, place, before);
        put(signature, "twoRoles", String.join(", ", signing.beside()));
        signature.put("shownSha256", Signatures.sha256(asSigned));
        signature.putAll(signing.rowSums());
        String canonical = SignedRecord.write(o.judged().document(), evaluation, json.writeValueAsString(signature));
        signatures.freeze(new Signatures.SignatureContent(
                o.inspection().id(),
                job,
                place,
                signing.verdict(),
                new Signatures.Signer(
                        signing.actor().id(), signing.actor().name(), signing.certificate(), signing.capacity()),
                signing.at(),
                canonical,
                asSigned));
    }

    private static String twoRoles(Actor signer, List<String> beside) {
        return "One person in two roles: " + signer.name() + " inspected and signed, and also "
                + String.join(", ", beside) + ".";
    }

    String canonical(Object part) {
        return InspectionParts.canonical(json.writeValueAsString(part));
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
            Bench.State o, Signing signing, int place, Optional<Signatures.ChainPlace> before) {
        Map<String, String> signature = new LinkedHashMap<>();
        signature.put("chainPlace", String.valueOf(place));
        before.ifPresent(b -> signature.put("previousSha256", b.sha256()));
        signature.put("at", signing.at().toString());
        signature.put("by", signing.actor().name());
        signature.put("capacity", signing.capacity());
        signature.put("job", jobs.get(o.joint().jobId()).name());
        signature.put("lot", o.joint().lot());
        signature.put("revision", String.valueOf(o.inspection().revision()));
        signature.put("stage", o.inspection().stage());
        signature.put("verdict", signing.verdict());
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
        if (signing.certificate() != null) {
            signature.put("certificate", signing.certificate());
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
        put(signature, "scans", String.join("; ", scans.sums(o.inspection().id())));
        checks.check(o.judged().evaluation().book())
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
