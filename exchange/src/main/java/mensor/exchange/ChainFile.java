package mensor.exchange;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Unit;

/**
 * The signed records of a job in their order, as a {@code mensor-chain/1} file: each record's text, its SHA-256, and in the
 * text the sum of the record before it. Whoever changes, swaps or takes out a record breaks the chain at that place; what
 * cannot be seen is a file that ends too early.
 */
public record ChainFile(String job, List<Link> links) {
    public static final String FORMAT = "mensor-chain/1";

    /**
     * One signed record.
     *
     * @param place in the job's order of signatures, from 1
     * @param record the frozen text, to the letter
     */
    public record Link(int place, String mark, String sha256, String record) {}

    /** The first record that does not fit, and why. */
    public record Fault(int place, String mark, String problem) {}

    /** What a record says of its own place; empty in one that was signed before records were chained. */
    private record Said(int place, Optional<String> previous) {}

    /** @throws UnreadableInput naming the field by its path */
    public static ChainFile read(String text) {
        Fields f = Fields.of("", Json.read(text), Unit.INCH);
        String format = f.requiredText("format");
        if (!format.equals(FORMAT)) {
            throw f.error("format", "\"" + FORMAT + "\" is required, got \"" + format + "\"");
        }
        String job = f.requiredText("job");
        List<Link> links = f.requiredObjects("records", (at, r) -> {
            Link link = new Link(
                    r.number("place")
                            .orElseThrow(() -> r.error("place", "is missing"))
                            .intValue(),
                    r.requiredText("mark"),
                    r.requiredText("sha256"),
                    r.requiredText("record"));
            r.end();
            return link;
        });
        f.end();
        return new ChainFile(job, links);
    }

    public String write() {
        List<Json> records = new ArrayList<>();
        for (Link l : links) {
            Map<String, Json> fields = new java.util.LinkedHashMap<>();
            fields.put("place", new Json.Number(String.valueOf(l.place())));
            fields.put("mark", new Json.Text(l.mark()));
            fields.put("sha256", new Json.Text(l.sha256()));
            fields.put("record", new Json.Text(l.record()));
            records.add(new Json.Object(fields));
        }
        Map<String, Json> file = new java.util.LinkedHashMap<>();
        file.put("format", new Json.Text(FORMAT));
        file.put("job", new Json.Text(job));
        file.put("records", new Json.Array(records));
        return Json.write(new Json.Object(file));
    }

    /** Empty where every record fits. */
    public Optional<Fault> check() {
        boolean chained = false;
        String before = null;
        for (int i = 0; i < links.size(); i++) {
            Link l = links.get(i);
            Optional<String> problem = problem(l, i + 1, before, chained);
            if (problem.isPresent()) {
                return Optional.of(new Fault(l.place(), l.mark(), problem.get()));
            }
            chained = chained || said(l).isPresent();
            before = l.sha256();
        }
        return Optional.empty();
    }

    private static Optional<String> problem(Link l, int place, String before, boolean chained) {
        if (!sha256(l.record()).equals(l.sha256())) {
            return Optional.of("the record was changed after it was signed: its sum is not the one that was taken");
        }
        if (l.place() != place) {
            return Optional.of(
                    "stands at place " + place + " and says " + l.place() + ": a record before it is missing");
        }
        Optional<Said> said;
        try {
            said = said(l);
        } catch (UnreadableInput e) {
            return Optional.of("the record cannot be read: " + e.getMessage());
        }
        if (said.isEmpty()) {
            return chained ? Optional.of("names no record before it, and those before do") : Optional.empty();
        }
        if (said.get().place() != place) {
            return Optional.of("was signed at place " + said.get().place() + " and stands at place " + place);
        }
        return said.get().previous().equals(Optional.ofNullable(before))
                ? Optional.empty()
                : Optional.of("does not name the record before it");
    }

    private static Optional<Said> said(Link l) {
        if (!(Json.read(l.record()) instanceof Json.Object record)
                || !(record.fields().get("signature") instanceof Json.Object signature)
                || !(signature.fields().get("chainPlace") instanceof Json.Text place)
                || !place.value().matches("\\d{1,9}")) {
            return Optional.empty();
        }
        Optional<String> previous = signature.fields().get("previousSha256") instanceof Json.Text t
                ? Optional.of(t.value())
                : Optional.empty();
        return Optional.of(new Said(Integer.parseInt(place.value()), previous));
    }

    /** The sum over the UTF-8 of a text, in hexadecimal digits. */
    public static String sha256(String text) {
        return sha256(text.getBytes(StandardCharsets.UTF_8));
    }

    /** In hexadecimal. */
    public static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
