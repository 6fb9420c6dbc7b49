package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mensor.inspection.Inspection;

/**
 * {@code mensor simulate-scan [--seed N] [--as CARRIER] INSPECTION FILE}: a made-up scan of the inspection's joint, to try things with. The carrier by the
 * file's ending ({@code .csv}, {@code .ply}, {@code .x3p}), or {@code csv}, {@code ply_ascii}, {@code ply_little}, {@code ply_big}, {@code x3p}.
 */
public final class SimulateScanCommand extends FileCommand {
    private static final double SPACING = 0.5;

    SimulateScanCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, SimulateScanCommand::new);
    }

    @Override
    int run(List<String> arguments) {
        List<String> files = new ArrayList<>(arguments);
        try {
            String seed = ScanCommand.taken(files, "--seed");
            String as = ScanCommand.taken(files, "--as");
            if (files.size() != 2) {
                throw new UnreadableInput("", "name an inspection file and the file to write");
            }
            Inspection inspection =
                    InspectionDocument.read(InputFiles.text(files.get(0), in)).inspection();
            Path file = Path.of(files.get(1));
            ScanWriter.Carrier carrier = carrier(as, file);
            var weld = SimulatedScan.weld(inspection.joint(), seed(seed), SPACING);
            try (OutputStream to = Files.newOutputStream(file)) {
                new ScanWriter(SimulatedScan.profiles(weld), SimulatedScan.DEVICE, SimulatedScan.U).write(carrier, to);
            }
            out.println(file + ": " + weld.profiles() + " profiles of a made-up weld");
            return 0;
        } catch (UnreadableInput e) {
            err.println("mensor simulate-scan: " + e.getMessage());
        } catch (IOException | InvalidPathException e) {
            err.println("mensor simulate-scan: cannot be written: " + e.getMessage());
        }
        return InputFiles.UNREADABLE;
    }

    private static long seed(String typed) {
        try {
            return typed == null ? 1 : Long.parseLong(typed);
        } catch (NumberFormatException e) {
            throw new UnreadableInput("--seed", "a whole number is required, got " + typed);
        }
    }

    private static ScanWriter.Carrier carrier(String as, Path file) {
        String name = file.toString().toLowerCase(Locale.ROOT);
        String wanted = as != null
                ? as.toUpperCase(Locale.ROOT)
                : name.endsWith(".csv")
                        ? "CSV"
                        : name.endsWith(".ply") ? "PLY_LITTLE" : name.endsWith(".x3p") ? "X3P" : "";
        for (ScanWriter.Carrier c : ScanWriter.Carrier.values()) {
            if (c.name().equals(wanted)) {
                return c;
            }
        }
        throw new UnreadableInput(
                "--as", "csv, ply_ascii, ply_little, ply_big or x3p is required, got " + (as == null ? name : as));
    }
}
