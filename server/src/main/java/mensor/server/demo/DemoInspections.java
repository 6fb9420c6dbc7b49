package mensor.server.demo;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import mensor.server.inspection.Bench;
import mensor.server.inspection.ConditionsForm;
import mensor.server.inspection.EntryRecorder;
import mensor.server.inspection.HandOvers;
import mensor.server.inspection.NewInspections;
import mensor.server.inspection.ReadinessRecorder;
import mensor.server.inspection.SignOff;
import mensor.server.inspection.StoredInspection;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import org.springframework.stereotype.Component;

/** What an inspector does in the demo: begins, answers, enters, hands over, signs. */
@Component
class DemoInspections {
    private final NewInspections beginnings;
    private final ReadinessRecorder readiness;
    private final EntryRecorder recorder;
    private final HandOvers handOvers;
    private final SignOff signing;
    private final Bench bench;

    DemoInspections(
            NewInspections beginnings,
            ReadinessRecorder readiness,
            EntryRecorder recorder,
            HandOvers handOvers,
            SignOff signing,
            Bench bench) {
        this.beginnings = beginnings;
        this.readiness = readiness;
        this.recorder = recorder;
        this.handOvers = handOvers;
        this.signing = signing;
        this.bench = bench;
    }

    UUID ofJoint(UUID joint) {
        return bench.ofJoint(joint).get(0).id();
    }

    UUID begin(StoredJoint joint) {
        return beginnings.begin(joint).id();
    }

    StoredJoint joint(Actor actor, UUID inspection) {
        return bench.open(actor, inspection).joint();
    }

    void answer(Actor actor, UUID inspection, ConditionsForm conditions) {
        readiness.conditions(actor, inspection, conditions);
    }

    void put(Actor actor, UUID inspection, Entry.Sort kind, EntryDocument content) {
        recorder.put(actor, inspection, new Bench.NewEntry(UUID.randomUUID(), kind, content), null);
    }

    void picture(Actor actor, UUID inspection, String at, PictureFile file) {
        recorder.photo(actor, inspection, UUID.randomUUID(), new Photos.Place(null, at), file);
    }

    /** None seen, of each of these. */
    void clear(Actor actor, UUID inspection, List<String> criteria) {
        recorder.putAll(
                actor,
                inspection,
                criteria.stream()
                        .map(c -> new Bench.NewEntry(
                                UUID.randomUUID(), Entry.Sort.CLEAR, EntryDocument.of(Map.of("criterion", c))))
                        .toList());
    }

    void sign(Actor actor, UUID inspection) {
        StoredInspection i = bench.open(actor, inspection).inspection();
        signing.sign(actor, inspection, new SignOff.SignForm(i.version(), i.verdict(), "QC"));
    }

    void handOver(Actor from, UUID inspection, Actor to, String note) {
        handOvers.handOver(from, inspection, to.id(), note, new HandOvers.InspectedStretch("0", "5"));
    }
}
