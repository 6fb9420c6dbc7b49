package mensor.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import mensor.cause.CauseTrace;

/** The likely causes of what rejects, as a {@code mensor-causes/1} answer. */
public record CausesDocument(String format, String mark, List<Defect> defects) {
    public static final String FORMAT = "mensor-causes/1";

    /** One defect: the index of its indication, or of the reading that rejects. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Defect(
            Integer indication,
            Integer reading,
            String kind,
            List<Cause> causes,
            List<RuledOut> ruledOut,
            Next next,
            List<String> doubt) {}

    public record Cause(
            @JsonProperty("class") String causeClass,
            String name,
            String standing,
            @JsonProperty("for") List<String> speaksFor,
            @JsonProperty("against") List<String> speaksAgainst,
            String check,
            String change) {}

    public record RuledOut(@JsonProperty("class") String causeClass, String why) {}

    public record Next(String ask, String sign, String settles) {}

    public static CausesDocument of(String mark, List<CauseTrace> traced) {
        return new CausesDocument(
                FORMAT, mark, traced.stream().map(CausesDocument::defect).toList());
    }

    private static Defect defect(CauseTrace t) {
        return new Defect(
                t.indication().isPresent() ? t.indication().getAsInt() : null,
                t.reading().isPresent() ? t.reading().getAsInt() : null,
                t.kind(),
                t.causes().stream()
                        .map(c -> new Cause(
                                c.cause().id(),
                                c.name(),
                                c.standing().id(),
                                c.speaksFor(),
                                c.speaksAgainst(),
                                c.check(),
                                c.change().text()))
                        .toList(),
                t.ruledOut().stream()
                        .map(r -> new RuledOut(r.cause().id(), r.why()))
                        .toList(),
                t.next().map(n -> new Next(n.ask(), n.sign().id(), n.settles())).orElse(null),
                t.doubt());
    }
}
