package mensor.exchange;

import java.io.InputStream;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mensor.inspection.Inspection;
import mensor.judge.Judge;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.repair.RepairConstants;
import mensor.repair.RepairPlanner;
import mensor.weld.InvalidField;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code mensor repair [--depth N=LENGTH]… [--set NAME=NUMBER]… FILE…}: the repair of each rejected place, one line of
 * {@code mensor-repair/1} a file. Exit 0 when all were answered, 3 where one cannot be read.
 */
public final class RepairCommand extends FileCommand {
    public RepairCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, RepairCommand::new);
    }

    @Override
    public int run(List<String> arguments) {
        List<String> files = new ArrayList<>(arguments);
        RepairConstants constants;
        Map<String, String> depths;
        try {
            constants = RepairConstants.USUAL.with(Settings.numbers(files, "--set"));
            depths = Settings.take(files, "--depth");
        } catch (InvalidField e) {
            err.println("mensor repair: " + e.field() + ": " + e.problem());
            return 3;
        }
        return InputFiles.answerEach("repair", files, in, out, err, text -> answer(text, constants, depths));
    }

    private static String answer(String text, RepairConstants constants, Map<String, String> depths) {
        InspectionDocument document = InspectionDocument.read(text);
        Inspection inspection = document.inspection();
        return JsonMapper.shared()
                .writeValueAsString(RepairDocument.of(
                        inspection.joint().mark(),
                        RepairPlanner.plan(
                                inspection,
                                Judge.evaluate(inspection, document.book()),
                                Terms.NONE,
                                constants,
                                RepairPlanner.Known.depths(depths(depths, inspection))),
                        constants));
    }

    /** How deep an indication goes, by its index in the file. */
    private static Map<Integer, Length> depths(Map<String, String> said, Inspection inspection) {
        Map<Integer, Length> depths = new LinkedHashMap<>();
        said.forEach((index, depth) -> {
            boolean known = index.matches("\\d{1,9}")
                    && Integer.parseInt(index) < inspection.indications().size();
            if (!known) {
                throw new UnreadableInput("--depth", "there is no indication " + index + " in this file");
            }
            try {
                Length read = Length.parse(depth, inspection.units());
                if (!read.isPositive()) {
                    throw new UnreadableInput("--depth", "a depth over zero is required, got \"" + depth + "\"");
                }
                depths.put(Integer.parseInt(index), read);
            } catch (LengthFormatException e) {
                throw new UnreadableInput("--depth", e.getMessage());
            }
        });
        return depths;
    }
}
