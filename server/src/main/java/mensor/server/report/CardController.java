package mensor.server.report;

import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A card of known size to print: laid beside a weld, it straightens the picture. */
@RestController
class CardController {
    private static final String STYLE =
            ".card { width: 80mm; height: 50mm; margin: 12mm; background: #000; position: relative; }"
                    + " .inner { position: absolute; left: 4mm; top: 4mm; width: 72mm; height: 42mm; background: #fff; }"
                    + " .inner p { margin: 2mm 3mm; } .how { margin: 0 12mm; width: 150mm; }";

    @GetMapping("/api/pictures/card")
    ResponseEntity<byte[]> card(@RequestParam(required = false) Paper paper) {
        Html h = new Html();
        for (int i = 0; i < 2; i++) {
            h.open("div", "card").open("div", "inner");
            h.add("p", "strong", "80 by 50 mm, to the outside of the frame");
            h.add("p", "small", "Lay it in the plane of what is measured; all four corners in the picture.");
            h.close("div").close("div");
        }
        h.open("div", "how");
        h.add(
                "p",
                "Print it in its own size (100 %), then measure the frame: what the rule says is entered as the card's width and height. "
                        + "Glue it on stiff board; a bent card measures wrongly.");
        h.close("div");
        return ReportController.answer(
                (paper == null ? Paper.LETTER : paper).printToTheEdge("Card for pictures", STYLE, h.toString()),
                "pdf",
                "card");
    }
}
