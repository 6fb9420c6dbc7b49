package mensor.server.photo;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures of an inspection. Who may add one, and whether its place lies on the weld, is for the caller to know. */
@Service
public class Photos {
    private final PhotoRepository photos;
    private final PictureRepository pictures;
    private final Clock clock;

    Photos(PhotoRepository photos, PictureRepository pictures, Clock clock) {
        this.photos = photos;
        this.pictures = pictures;
        this.clock = clock;
    }

    /** Where a picture belongs: one of both is given. */
    public record Place(UUID entry, String at) {}

    /** Keeps a picture under the browser's id; the same again adds nothing. */
    @Transactional
    public void put(Actor actor, UUID inspection, UUID id, Place place, PictureFile picture) {
        PhotoEntity standing = photos.findById(id).orElse(null);
        if (standing != null) {
            if (!standing.inspectionId().equals(inspection)) {
                throw Refusal.conflict("that id belongs to another picture");
            }
            return;
        }
        photos.save(
                new PhotoEntity(id, inspection, place.entry(), place.at(), keep(picture), actor.id(), clock.instant()));
    }

    /** Keeps a picture's file under the hash of its bytes. */
    @Transactional
    public String keep(PictureFile file) {
        String sha256 = sha256(file.bytes());
        if (!pictures.existsById(sha256)) {
            pictures.saveAndFlush(new PictureEntity(sha256, file));
        }
        return sha256;
    }

    @Transactional(readOnly = true)
    public PictureFile kept(String sha256) {
        return pictures.findById(sha256).orElseThrow().file();
    }

    /** Takes a picture off the inspection, or back onto it. */
    @Transactional
    public void setWithdrawn(UUID inspection, UUID id, boolean withdrawn) {
        of(inspection, id).setWithdrawn(withdrawn);
    }

    @Transactional(readOnly = true)
    public PictureFile file(UUID inspection, UUID id) {
        return pictures.findById(of(inspection, id).sha256()).orElseThrow().file();
    }

    private PhotoEntity of(UUID inspection, UUID id) {
        return photos.findById(id)
                .filter(p -> p.inspectionId().equals(inspection))
                .orElseThrow(() -> Refusal.notFound("there is no such picture"));
    }

    /** All of an inspection, those taken off too. */
    @Transactional(readOnly = true)
    public List<StoredPhoto> of(UUID inspection) {
        return List.copyOf(photos.findByInspectionIdOrderByAddedAt(inspection));
    }

    /** How many pictures the inspections have that were photographed last. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> photographed(int most) {
        Map<UUID, Integer> counts = new LinkedHashMap<>();
        photos.counted(most).forEach(c -> counts.put((UUID) c[0], ((Number) c[1]).intValue()));
        return counts;
    }

    /** A revision begins with the pictures of the inspection it amends. */
    @Transactional
    public void carryOver(UUID from, UUID to, Map<UUID, UUID> entries) {
        photos.findByInspectionIdOrderByAddedAt(from).stream()
                .filter(p -> !p.isWithdrawn() && (p.entryId() == null || entries.containsKey(p.entryId())))
                .forEach(p -> photos.save(p.in(to, p.entryId() == null ? null : entries.get(p.entryId()))));
    }

    public static String sha256(byte[] bytes) {
        return ChainFile.sha256(bytes);
    }
}
