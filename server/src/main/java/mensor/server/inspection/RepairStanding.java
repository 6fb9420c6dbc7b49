package mensor.server.inspection;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Where the repairs of rejected looks stand, for the lists; answered by whoever keeps the defects. */
public interface RepairStanding {
    /**
     * The defects that one inspection raised, and those of earlier ones that were repaired and not accepted since.
     *
     * @param undecided nobody chose a disposition yet
     * @param waiting something must be recorded first: the Engineer's document
     * @param working decided and not ready to be inspected
     * @param ready repaired, to be re-inspected
     * @param closed accepted as they are
     */
    record Standing(int undecided, int waiting, int working, int ready, int closed) {
        public static final Standing NONE = new Standing(0, 0, 0, 0, 0);

        public int all() {
            return undecided + waiting + working + ready + closed;
        }
    }

    /** By the inspection that raised them, as stored; an inspection that raised none is not there. */
    Map<UUID, Standing> of(Collection<UUID> inspections);

    Standing of(UUID inspection);

    /** What a person did to the rejected places of a weld as its contractor, in words: a disposition, a step of the repair. */
    List<String> by(UUID person, UUID joint);
}
