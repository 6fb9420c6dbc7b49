package mensor.server.scan;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import mensor.exchange.ScanWriter;
import mensor.scan.MeasuredProfile;
import mensor.scan.Profile;
import mensor.scan.ScanSection;
import mensor.server.inspection.Bench;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.weld.Joint;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Scans a weld live: each profile is told as it was measured; at the end, or where the hand stops, what came is kept as a scan like any other. */
@Service
public class LiveScans {
    private static final Logger LOG = LoggerFactory.getLogger(LiveScans.class);
    private static final int AT_ONCE = 4;

    private final Scans scans;
    private final ScanLines lines;
    private final Bench bench;
    private final JsonMapper json;
    private final Semaphore free = new Semaphore(AT_ONCE);

    LiveScans(Scans scans, ScanLines lines, Bench bench, JsonMapper json) {
        this.scans = scans;
        this.lines = lines;
        this.bench = bench;
        this.json = json;
    }

    /** The weld that is scanned; refused where the person may not. */
    Joint joint(Actor actor, UUID inspection) {
        scans.checkMayAdd(actor, inspection);
        return Scans.joint(bench.joint(actor, inspection));
    }

    /** Lines of JSON: first which quantities run along the weld, then each profile's. */
    void scan(Actor actor, UUID inspection, UUID id, Joint joint, ProfileSource source, OutputStream out)
            throws InterruptedException {
        if (!free.tryAcquire()) {
            throw Refusal.conflict("several welds are scanned just now; wait until one is done");
        }
        TreeMap<Double, Profile> seen = new TreeMap<>();
        try {
            tell(out, json.valueToTree(lines.none(actor, inspection)));
            for (Optional<Profile> p = source.next(); p.isPresent(); p = source.next()) {
                seen.put(p.get().s(), p.get());
                tell(out, row(p.get(), joint.isFillet(), source.u()));
            }
        } catch (IOException e) {
            LOG.debug("whoever scanned has stopped", e);
        } finally {
            free.release();
            keep(actor, inspection, id, source, seen);
        }
    }

    private void keep(Actor actor, UUID inspection, UUID id, ProfileSource source, TreeMap<Double, Profile> seen) {
        if (seen.size() < 2) {
            return;
        }
        try (ByteArrayOutputStream file = new ByteArrayOutputStream()) {
            new ScanWriter(List.copyOf(seen.values()), source.device(), source.u())
                    .write(ScanWriter.Carrier.PLY_LITTLE, file);
            try (ScanStore.Received received = scans.receive(new ByteArrayInputStream(file.toByteArray()))) {
                scans.add(actor, inspection, id, "live, " + source.device() + ".ply", null, received);
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private void tell(OutputStream out, ObjectNode line) throws IOException {
        out.write((json.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8));
        out.flush();
    }

    private ObjectNode row(Profile p, boolean fillet, double u) {
        ObjectNode row = json.createObjectNode().put("s", Math.round(p.s() * 1000) / 1000.0);
        MeasuredProfile m = MeasuredProfile.of(p, fillet, u);
        if (m instanceof MeasuredProfile.NotMeasured n) {
            return row.put("why", n.why());
        }
        ObjectNode values = row.putObject("values");
        for (ScanSection.ScannedValue v : ScanSection.of(p, fillet, u).values()) {
            values.put(v.id(), Math.round(v.value() * 1e4) / 1e4);
        }
        return row;
    }
}
