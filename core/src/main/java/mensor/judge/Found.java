package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;

/** An indication or a reading together with its index in the inspection. */
record Found<T>(int index, T what) {

    static <T extends Indication> List<Found<T>> indications(Inspection inspection, Class<T> kind) {
        List<Found<T>> found = new ArrayList<>();
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication indication = inspection.indications().get(i);
            if (kind.isInstance(indication)) {
                found.add(new Found<>(i, kind.cast(indication)));
            }
        }
        return found;
    }

    static <T extends Reading> List<Found<T>> readings(Inspection inspection, Class<T> kind) {
        List<Found<T>> found = new ArrayList<>();
        for (int i = 0; i < inspection.readings().size(); i++) {
            Reading reading = inspection.readings().get(i);
            if (kind.isInstance(reading)) {
                found.add(new Found<>(i, kind.cast(reading)));
            }
        }
        return found;
    }

    static <T> List<Integer> indices(List<Found<T>> found) {
        return found.stream().map(Found::index).toList();
    }
}
