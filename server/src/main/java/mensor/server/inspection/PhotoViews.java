package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import mensor.drawing.StripDrawing;
import mensor.inspection.Indication;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Span;
import mensor.server.photo.Photos;
import mensor.server.photo.StoredPhoto;
import org.springframework.stereotype.Component;

/** The pictures of an inspection at their places on the strip. */
@Component
class PhotoViews {
    private final Photos photos;

    PhotoViews(Photos photos) {
        this.photos = photos;
    }

    /** The pictures at their places; one of a withdrawn entry is not shown. */
    List<BenchView.PhotoView> of(Bench.State o, Map<UUID, String> names) {
        List<BenchView.PhotoView> views = new ArrayList<>();
        for (StoredPhoto p : photos.of(o.inspection().id())) {
            place(p, o)
                    .ifPresent(at -> views.add(new BenchView.PhotoView(
                            p.id(), at, p.place(), p.entryId(), names.getOrDefault(p.takenBy(), ""), p.isWithdrawn())));
        }
        return views;
    }

    private static Optional<Double> place(StoredPhoto p, Bench.State o) {
        if (p.place() != null) {
            return Optional.of(StripDrawing.mm(Length.parse(p.place(), o.joint().unit())));
        }
        InspectionResult judged = o.judged();
        Optional<Span> span = at(judged.indications(), judged.inspection().indications(), p.entryId())
                .map(Indication::span)
                .or(() -> at(judged.readings(), judged.inspection().readings(), p.entryId())
                        .map(Reading::span));
        return span.map(s -> StripDrawing.mm(s.from()));
    }

    private static <T> Optional<T> at(List<EntryEntity> entries, List<T> what, UUID entry) {
        return IntStream.range(0, entries.size())
                .filter(i -> entries.get(i).id().equals(entry))
                .mapToObj(what::get)
                .findFirst();
    }
}
