package mensor.server.cause;

import java.util.List;
import java.util.UUID;
import mensor.server.testpiece.Specimens;
import org.jspecify.annotations.Nullable;

/**
 * The likely causes of what rejects at an inspection, what its defects have in common, what looking cannot see, what was changed
 * before, and what was tested.
 *
 * @param also the troubles that can be traced without a criterion, as a wavy bead
 */
public record CausesView(
        String mark,
        List<DefectView> defects,
        List<CommonView> common,
        List<DoubtView> doubts,
        List<SignView> signs,
        List<AlsoView> also,
        List<Trials.TrialView> trials,
        List<Specimens.SpecimenView> tests) {

    /**
     * One defect.
     *
     * @param entry what was recorded; absent where the trouble was only said
     * @param trouble what one says of the weld
     */
    public record DefectView(
            @Nullable UUID entry,
            String kind,
            String trouble,
            String situation,
            List<CauseView> causes,
            List<RuledOutView> ruledOut,
            @Nullable NextView next,
            List<String> doubt) {}

    /**
     * A cause with its evidence.
     *
     * @param id its class
     * @param hands it is what the welder's hand or machine sets
     * @param change the one thing to change
     * @param prevent so that it does not come again
     */
    public record CauseView(
            String id,
            String title,
            String name,
            boolean hands,
            String standing,
            List<String> speaksFor,
            List<String> speaksAgainst,
            String check,
            String change,
            String prevent) {}

    public record RuledOutView(String title, String why) {}

    public record NextView(String ask, String sign, String settles) {}

    public record CommonView(String id, String title, List<String> explains, List<String> leaves) {}

    public record DoubtView(String why, String test) {}

    /** A sign on the bead. @param seen absent where nobody inspected for it */
    public record SignView(
            String id, String words, @Nullable Boolean seen) {}

    public record AlsoView(String id, String words) {}
}
