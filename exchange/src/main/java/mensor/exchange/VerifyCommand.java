package mensor.exchange;

import java.io.InputStream;
import java.io.PrintWriter;
import java.util.List;
import java.util.Optional;

/**
 * {@code mensor verify FILE…}: whether a job's signed records fit together, a line a file. Exit 0 where every chain holds, 1
 * where one does not, 3 where a file cannot be read.
 */
public final class VerifyCommand extends FileCommand {
    public VerifyCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, VerifyCommand::new);
    }

    @Override
    public int run(List<String> files) {
        boolean[] broken = {false};
        int code = InputFiles.answerEach("verify", files, in, out, err, text -> {
            ChainFile chain = ChainFile.read(text);
            Optional<ChainFile.Fault> fault = chain.check();
            broken[0] |= fault.isPresent();
            return chain.job() + ": "
                    + fault.map(f -> "record " + f.place() + ", " + f.mark() + ": " + f.problem())
                            .orElse(chain.links().size() + " signed records, the chain holds to its last one");
        });
        return code != 0 ? code : broken[0] ? 1 : 0;
    }
}
