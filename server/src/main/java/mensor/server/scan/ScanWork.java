package mensor.server.scan;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.MeasuredWeld;
import mensor.exchange.UnreadableInput;
import mensor.server.background.BackgroundWorker;
import mensor.server.background.Turn;
import mensor.server.gauge.Gauges;
import mensor.server.inspection.Bench;
import mensor.server.joint.StoredJoint;
import mensor.server.record.Signatures;
import mensor.weld.Joint;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Measures scans in the background; what was broken off is begun again. */
@Component
class ScanWork implements BackgroundWorker {
    private static final Logger LOG = LoggerFactory.getLogger(ScanWork.class);
    private static final int LONGEST = 1_000_000;
    private static final int PARTS = 100;

    private final ScanRepository scans;
    private final ScanStore store;
    private final Bench bench;
    private final Gauges gauges;
    private final TransactionTemplate transactions;
    private final JsonMapper json;

    ScanWork(
            ScanRepository scans,
            ScanStore store,
            Bench bench,
            Gauges gauges,
            TransactionTemplate transactions,
            JsonMapper json) {
        this.scans = scans;
        this.store = store;
        this.bench = bench;
        this.gauges = gauges;
        this.transactions = transactions;
        this.json = json;
    }

    @Override
    public Set<String> kinds() {
        return Set.of(Scans.MEASURE);
    }

    /** Somebody stopped it, or the process ends. */
    private static final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Stopped() {
            super(null, null, false, false);
        }
    }

    /** What is known of the weld when measuring begins. */
    private record Weld(String name, String sha256, UUID drawnAs, UUID gaugeId, StoredJoint joint) {}

    @Override
    public void work(Turn turn) {
        UUID id = UUID.fromString(turn.wanted());
        Weld weld = transactions.execute(t -> scans.findById(id)
                .filter(s -> !s.isWithdrawn())
                .map(s -> new Weld(
                        s.name(),
                        s.sha256(),
                        s.drawnAs(),
                        s.gaugeId(),
                        bench.openAsItStands(s.inspectionId()).joint()))
                .orElse(null));
        if (weld == null) {
            return;
        }
        try {
            String document = measured(turn, weld);
            transactions.executeWithoutResult(t -> {
                ScanEntity scan = scans.findById(id).orElseThrow();
                if (scan.gaugeId() == null) {
                    scan.setGauge(
                            bySerial(json.readTree(document).path("serial").asString("")));
                }
                scan.measured(document, Signatures.sha256(document), MensorVersion.OF_THIS);
                scans.flush();
                turn.finish("measured");
            });
        } catch (UnreadableInput e) {
            failed(id, turn, e.getMessage());
        } catch (IOException e) {
            LOG.error("scan {} was not measured", id, e);
            failed(id, turn, "its files could not be written: " + e.getMessage());
        } catch (Stopped e) {
            LOG.debug("stopped", e);
        }
    }

    private void failed(UUID id, Turn turn, String why) {
        transactions.executeWithoutResult(t -> {
            scans.findById(id).ifPresent(s -> s.failed(why));
            scans.flush();
            turn.finish("failed");
        });
    }

    private UUID bySerial(String serial) {
        return serial.isBlank()
                ? null
                : gauges.all().stream()
                        .filter(g -> serial.equals(g.form().serial()))
                        .map(Gauges.GaugeView::id)
                        .findFirst()
                        .orElse(null);
    }

    private String measured(Turn turn, Weld weld) throws IOException {
        Path file = store.file(weld.sha256());
        if (!Files.exists(file)) {
            throw new UnreadableInput("", "the file is not in the folder of scans: bring it back");
        }
        Joint joint = Scans.joint(weld.joint());
        try (ScanDrawings drawings = new ScanDrawings(store, weld.drawnAs())) {
            MeasuredWeld m = MeasuredWeld.of(file, joint, weld.joint().unit(), drawings::anew, part -> {
                if (!turn.goesOn((int) (part * PARTS), PARTS)) {
                    throw new Stopped();
                }
            });
            drawings.keep(m.result().track());
            return document(weld, m, joint);
        }
    }

    /** What was measured, with the scanner's own name and the entries that it proposes: to the letter what is signed. */
    private String document(Weld weld, MeasuredWeld m, Joint joint) {
        ObjectNode all = (ObjectNode)
                json.readTree(m.document(weld.name(), joint, weld.joint().unit()));
        all.put("device", m.head().device());
        all.put("serial", m.head().keys().getOrDefault("serial", ""));
        all.put("fileSha256", weld.sha256());
        ArrayNode entries = all.putArray("entries");
        for (MeasuredWeld.Proposal p : m.proposals(joint, weld.joint().unit(), gauge(weld, m))) {
            entries.addObject().put("sort", p.sort().name()).put("content", p.content());
        }
        String document = json.writeValueAsString(all);
        if (document.length() > LONGEST) {
            throw new UnreadableInput("", "this weld is too long for one scan: split it");
        }
        return document;
    }

    private String gauge(Weld weld, MeasuredWeld m) {
        UUID id = weld.gaugeId() != null
                ? weld.gaugeId()
                : bySerial(m.head().keys().getOrDefault("serial", ""));
        return id == null
                ? m.head().device().substring(0, Math.min(60, m.head().device().length()))
                : gauges.find(id).map(g -> g.name()).orElse(m.head().device());
    }
}
