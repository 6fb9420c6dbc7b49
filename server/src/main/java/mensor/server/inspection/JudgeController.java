package mensor.server.inspection;

import mensor.exchange.EvaluationDocument;
import mensor.exchange.InspectionDocument;
import mensor.exchange.UnreadableInput;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.server.web.Refusal;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What {@code mensor judge} does with a file, for a script that is elsewhere; nothing of it is stored. */
@RestController
class JudgeController {
    /** An inspection file in, its verdict and findings out, as the command writes them. */
    @PostMapping(path = "/api/judge", produces = MediaType.APPLICATION_JSON_VALUE)
    String judge(@RequestParam(defaultValue = "-") String file, @RequestBody String document) {
        try {
            InspectionDocument read = InspectionDocument.read(document);
            Evaluation evaluation = Judge.evaluate(read.inspection(), read.book());
            return EvaluationDocument.write(file, read.inspection().joint().mark(), evaluation);
        } catch (UnreadableInput e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }
}
