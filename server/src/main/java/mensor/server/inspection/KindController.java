package mensor.server.inspection;

import java.util.List;
import java.util.stream.Stream;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationKind;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The kinds of indication, as their descriptions have them: the browser makes its forms from this. */
@RestController
@RequestMapping("/api/kinds")
class KindController {
    /** @param measured a gauge reads it, and can be named beside it */
    record KindView(
            String id,
            String title,
            IndicationKind.Placement placement,
            boolean measured,
            List<IndicationField> fields) {}

    @GetMapping
    List<KindView> all() {
        return Stream.of(IndicationKind.values())
                .map(k -> new KindView(
                        k.id(), k.title(), k.placement(), !k.measured().isEmpty(), k.fields()))
                .toList();
    }
}
