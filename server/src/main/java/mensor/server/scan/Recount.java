package mensor.server.scan;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import mensor.exchange.MeasuredWeld;
import mensor.exchange.UnreadableInput;
import mensor.server.db.FileSum;
import mensor.server.inspection.Bench;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.scan.ScanView.RecountView;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Computes a scan again from its file, whatever was signed since: the numbers on a record can be had again, or it is said which cannot. Where its
 * drawing was lost and the numbers are the same, it is drawn again.
 */
@Service
public class Recount {
    private final Scans scans;
    private final ScanStore store;
    private final Bench bench;
    private final JsonMapper json;

    Recount(Scans scans, ScanStore store, Bench bench, JsonMapper json) {
        this.scans = scans;
        this.store = store;
        this.bench = bench;
        this.json = json;
    }

    RecountView of(Actor actor, UUID inspection, UUID id) {
        ScanEntity scan = scans.seen(actor, inspection, id);
        if (scan.state() != ScanEntity.State.MEASURED) {
            throw Refusal.conflict("this scan was not measured");
        }
        Path file = store.file(scan.sha256());
        if (!Files.exists(file)) {
            throw ScanStore.notHere();
        }
        List<String> differing = new ArrayList<>();
        try {
            if (!FileSum.sha256(file).equals(scan.sha256())) {
                differing.add("the file itself: its sum is another");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        StoredJoint joint = bench.joint(actor, inspection);
        JsonNode then = json.readTree(scan.measured());
        try (ScanDrawings drawings = new ScanDrawings(store, scan.drawnAs())) {
            MeasuredWeld again = MeasuredWeld.of(file, Scans.joint(joint), joint.unit(), drawings::anew, part -> {});
            JsonNode now = json.readTree(again.document(scan.name(), Scans.joint(joint), joint.unit()));
            now.propertyStream()
                    .filter(p -> !p.getValue().equals(then.get(p.getKey())))
                    .forEach(p -> differing.add(p.getKey()));
            if (differing.isEmpty() && !store.isDrawn(scan.drawnAs())) {
                drawings.keep(again.result().track());
            }
        } catch (UnreadableInput e) {
            differing.add(e.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new RecountView(differing.isEmpty(), differing, scan.measuredBy(), MensorVersion.OF_THIS);
    }
}
