package mensor.server.practice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.photo.StoredPhoto;
import mensor.server.practice.ExerciseView.PictureView;
import mensor.server.scan.ScanLines;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;

/** What can be seen of a real weld by who has only the study: pictures and the scanned surface, nothing of what was recorded of it. */
@Component
class Evidence {
    private static final int MOST = 100;

    private final Photos photos;
    private final ScanLines scans;

    Evidence(Photos photos, ScanLines scans) {
        this.photos = photos;
        this.scans = scans;
    }

    List<PictureView> pictures(RealWeld weld) {
        return standing(weld).stream()
                .map(p -> new PictureView(p.id(), p.place()))
                .toList();
    }

    PictureFile picture(RealWeld weld, UUID picture) {
        return standing(weld).stream()
                .filter(p -> p.id().equals(picture))
                .findFirst()
                .map(p -> photos.file(weld.inspection(), picture))
                .orElseThrow(() -> Refusal.notFound("there is no such picture"));
    }

    private List<? extends StoredPhoto> standing(RealWeld weld) {
        return photos.of(weld.inspection()).stream()
                .filter(p -> !p.isWithdrawn())
                .toList();
    }

    boolean hasSurface(RealWeld weld) {
        return scans.hasSurface(weld.inspection());
    }

    byte[] surface(RealWeld weld) {
        boolean fillet = InspectionParts.readJoint(weld.joint(), weld.unit()).isFillet();
        return scans.surfaceAlone(weld.inspection(), fillet)
                .orElseThrow(() -> Refusal.notFound("this weld was not scanned"));
    }

    /** The inspections that can be judged from here, those of late: how many pictures each has. */
    Map<UUID, Integer> inspections() {
        Map<UUID, Integer> pictures = new LinkedHashMap<>(photos.photographed(MOST));
        scans.scanned(MOST).stream().filter(scans::hasSurface).forEach(i -> pictures.putIfAbsent(i, 0));
        return pictures;
    }

    boolean hasSurface(UUID inspection) {
        return scans.hasSurface(inspection);
    }

    /** Something to judge by. */
    boolean isSeen(RealWeld weld) {
        return hasSurface(weld) || !standing(weld).isEmpty();
    }
}
