package mensor.exchange;

import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.scan.WeldScan;
import mensor.weld.Joint;

/**
 * {@code mensor scan [--pitch LENGTH] [--report-depth LENGTH] INSPECTION SCAN…}: a weld measured from each scan, one line of {@code
 * mensor-measured/1} a scan. The exit is that of {@code judge} for the inspection joined with what was measured, where a part of the weld
 * that was not measured is never accepted; 3 where a file cannot be read.
 */
public final class ScanCommand extends FileCommand {
    private static final int ACCEPTED = 0;
    private static final int REJECTED = 1;
    private static final int INCOMPLETE = 2;
    private static final int UNREADABLE = 3;
    private static final List<Integer> WORST_FIRST = List.of(UNREADABLE, REJECTED, INCOMPLETE, ACCEPTED);
    private static final double REPORT_MM = 0.1;
    private static final double MM = 1e6;

    public ScanCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, ScanCommand::new);
    }

    @Override
    public int run(List<String> arguments) {
        List<String> files = new ArrayList<>(arguments);
        String pitch;
        String report;
        try {
            pitch = taken(files, "--pitch");
            report = taken(files, "--report-depth");
        } catch (UnreadableInput e) {
            err.println("mensor scan: " + e.getMessage());
            return UNREADABLE;
        }
        if (files.size() < 2) {
            err.println("mensor scan: name an inspection file, then one or more scans");
            return UNREADABLE;
        }
        String inspectionText;
        Inspection inspection;
        WeldScan.Wanted wanted;
        try {
            inspectionText = InputFiles.text(files.get(0), in);
            inspection = InspectionDocument.read(inspectionText).inspection();
        } catch (UnreadableInput e) {
            err.println(InputFiles.oneLine(files.get(0), e));
            return UNREADABLE;
        }
        try {
            wanted = wanted(inspection, pitch, report, 0);
        } catch (UnreadableInput e) {
            err.println("mensor scan: " + e.getMessage());
            return UNREADABLE;
        }
        int worst = ACCEPTED;
        for (String file : files.subList(1, files.size())) {
            int code = scan(file, inspectionText, inspection, wanted);
            worst = WORST_FIRST.indexOf(code) < WORST_FIRST.indexOf(worst) ? code : worst;
        }
        return worst;
    }

    static String taken(List<String> arguments, String option) {
        int i = arguments.indexOf(option);
        if (i < 0) {
            return null;
        }
        if (i + 1 >= arguments.size()) {
            throw new UnreadableInput(option, "a length is required behind it");
        }
        String value = arguments.get(i + 1);
        arguments.subList(i, i + 2).clear();
        return value;
    }

    static WeldScan.Wanted wanted(Inspection inspection, String pitch, String report, double deviceU) {
        Joint joint = inspection.joint();
        Unit unit = inspection.units();
        double step = pitch == null ? unit.pick(25.4, 25.0) : mm("--pitch", pitch, unit);
        double least = report == null ? REPORT_MM : mm("--report-depth", report, unit);
        if (step < 1) {
            throw new UnreadableInput("--pitch", "at least 1 mm is required");
        }
        OptionalDouble size =
                joint.size().map(ScanCommand::mm).map(OptionalDouble::of).orElse(OptionalDouble.empty());
        return new WeldScan.Wanted(joint.isFillet(), step, least, size, mm(joint.length()), deviceU);
    }

    private static double mm(String option, String text, Unit unit) {
        try {
            double mm = mm(Length.parse(text, unit));
            if (mm <= 0) {
                throw new UnreadableInput(option, "must be over zero, got " + text);
            }
            return mm;
        } catch (LengthFormatException e) {
            throw new UnreadableInput(option, e.getMessage());
        }
    }

    static double mm(Length length) {
        return length.approximateNanometres() / MM;
    }

    private int scan(String file, String inspectionText, Inspection inspection, WeldScan.Wanted wanted) {
        try {
            Path path = Path.of(file);
            MeasuredWeld measured = InputFiles.within(
                    () -> MeasuredWeld.measured(path, wanted, () -> (profile, of) -> {}, new Told(file, err)));
            MeasuredDocument document =
                    MeasuredDocument.of(file, inspectionText, inspection, measured.head(), measured.result());
            out.println(document.line());
            return code(document.verdict());
        } catch (UnreadableInput e) {
            err.println(InputFiles.oneLine(file, e));
        } catch (java.nio.file.InvalidPathException e) {
            err.println(InputFiles.oneLine(file, new UnreadableInput("", "cannot be read: " + e.getMessage())));
        }
        return UNREADABLE;
    }

    /** Says every few seconds how far a long file is. */
    private static final class Told implements DoubleConsumer {
        private static final long EVERY = 2_000_000_000L;
        private final String file;
        private final PrintWriter err;
        private long last = System.nanoTime();

        Told(String file, PrintWriter err) {
            this.file = file;
            this.err = err;
        }

        @Override
        public void accept(double part) {
            long now = System.nanoTime();
            if (now - last > EVERY) {
                last = now;
                err.println(file + ": " + Math.round(part * 100) + " %");
                err.flush();
            }
        }
    }

    private static int code(Verdict verdict) {
        return switch (verdict) {
            case REJECT -> REJECTED;
            case INCOMPLETE -> INCOMPLETE;
            case ACCEPT, NOT_APPLICABLE -> ACCEPTED;
        };
    }
}
