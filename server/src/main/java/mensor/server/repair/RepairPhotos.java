package mensor.server.repair;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures of repairs. */
@Service
class RepairPhotos {
    private final Repairs repairs;
    private final RepairPhotoRepository stored;
    private final Photos photos;
    private final Clock clock;

    RepairPhotos(Repairs repairs, RepairPhotoRepository stored, Photos photos, Clock clock) {
        this.repairs = repairs;
        this.stored = stored;
        this.photos = photos;
        this.clock = clock;
    }

    /** A picture of the repair, under the browser's id. */
    @Transactional
    public void add(Actor actor, UUID id, UUID photoId, PictureFile picture) {
        if (!actor.decidesDisposition() && !actor.inspects()) {
            throw Refusal.forbidden(
                    "pictures of a repair are added by the repair lead, the welding engineer or an inspector");
        }
        DefectEntity d = repairs.forChange(id, null);
        Optional<RepairPhotoEntity> standing = stored.findById(photoId);
        if (standing.isPresent()) {
            if (!standing.get().defectId().equals(id)) {
                throw Refusal.conflict("that id belongs to another picture");
            }
            return;
        }
        if (d.isClosed()) {
            throw Refusal.conflict(d.number() + " is closed: " + d.closedWhy());
        }
        stored.save(new RepairPhotoEntity(photoId, d, photos.keep(picture), actor.id(), clock.instant()));
        d.touched();
        repairs.save(d);
    }

    List<RepairPhotoEntity> of(DefectEntity d) {
        return stored.findByDefectIdOrderByAddedAt(d.id());
    }

    /** One picture of a defect. */
    Optional<PictureFile> find(UUID defect, UUID photo) {
        return stored.findById(photo).filter(p -> p.defectId().equals(defect)).map(p -> photos.kept(p.sha256()));
    }
}
