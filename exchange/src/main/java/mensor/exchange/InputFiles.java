package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** The files that a command is given; {@code -} is standard input. */
final class InputFiles {
    static final int UNREADABLE = 3;
    /** A hundred times what a weld of 100,000 indications takes. */
    private static final int MOST_BYTES = 200 << 20;

    private InputFiles() {}

    /** @throws UnreadableInput where the file is not there, cannot be read, or is not UTF-8 text */
    static String text(String file, InputStream in) {
        try {
            byte[] bytes;
            try (InputStream content = file.equals("-") ? in : Files.newInputStream(Path.of(file))) {
                bytes = content.readNBytes(MOST_BYTES + 1);
            }
            if (bytes.length > MOST_BYTES) {
                throw new UnreadableInput("", "is over " + (MOST_BYTES >> 20) + " MB: no inspection file is that long");
            }
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new UnreadableInput("", "is not UTF-8 text");
        } catch (NoSuchFileException e) {
            throw new UnreadableInput("", "there is no such file");
        } catch (IOException | java.nio.file.InvalidPathException e) {
            throw new UnreadableInput("", "cannot be read: " + e.getMessage());
        }
    }

    /** What a file comes to; where it asks for more than there is here, it is unreadable and the others are still answered. */
    static <T> T within(Supplier<T> answer) {
        try {
            return answer.get();
        } catch (OutOfMemoryError | StackOverflowError e) {
            throw new UnreadableInput("", "is too large for the memory here");
        }
    }

    /** The one line that says what is wrong with a file. */
    static String oneLine(String file, UnreadableInput e) {
        return (file + ": " + e.getMessage()).replaceAll("\\s*[\\r\\n]+\\s*", " ");
    }

    /**
     * One line of answer for each file; a file that cannot be read gets its line of error instead.
     *
     * @return 0 where all were answered, 3 where one could not be read
     */
    static int answerEach(
            String command,
            List<String> files,
            InputStream in,
            PrintWriter out,
            PrintWriter err,
            UnaryOperator<String> answer) {
        if (files.isEmpty()) {
            err.println("mensor " + command + ": name one or more files, or - for standard input");
            return UNREADABLE;
        }
        int code = 0;
        for (String file : files) {
            try {
                out.println(within(() -> answer.apply(text(file, in))));
            } catch (UnreadableInput e) {
                err.println(oneLine(file, e));
                code = UNREADABLE;
            }
        }
        return code;
    }
}
