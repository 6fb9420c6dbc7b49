package mensor.exchange;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mensor.length.Unit;

/**
 * The last record of a job's chain at a moment, kept outside the database as a {@code mensor-seal/1} receipt: a chain that ends
 * before it, or has another record at its place, was cut or rewritten. Signed with the installation's own key (Ed25519).
 *
 * @param place of the record in the job's order of signatures, from 1
 * @param sha256 the record's sum
 * @param key the public key, X.509 in Base64
 * @param after the running sum of the {@link Journal} before it; null for a receipt, and for a journal's lines of before
 * @param signature over {@link #text()}, in Base64
 */
public record Seal(String job, int place, String sha256, Instant at, String after, String key, String signature) {
    public static final String FORMAT = "mensor-seal/1";
    public static final String ALGORITHM = "Ed25519";

    /** A fingerprint is the first half of the key's SHA-256: short enough to be read out, long enough that nobody makes a key to it. */
    public static final int FINGERPRINT_DIGITS = 32;

    /** Of a public key, X.509 in Base64. */
    public static String fingerprint(String key) {
        return ChainFile.sha256(Base64.getDecoder().decode(key))
                .substring(0, FINGERPRINT_DIGITS)
                .toUpperCase(Locale.ROOT);
    }

    /** In groups of four, as it is read out. */
    public static String inGroups(String fingerprint) {
        return fingerprint.replaceAll("(.{4})(?=.)", "$1 ");
    }

    /** Of the key that signed it. */
    public String fingerprint() {
        return fingerprint(key);
    }

    /** Signs the head of a chain: a receipt. */
    public static Seal of(String job, int place, String sha256, Instant at, PublicKey key, PrivateKey secret) {
        return of(job, place, sha256, at, null, key, secret);
    }

    /** Signs the head of a chain, as the line of a journal that follows what was written before. */
    public static Seal following(
            Journal.Head before, String job, int place, String sha256, Instant at, PublicKey key, PrivateKey secret) {
        return of(job, place, sha256, at, before.sha256(), key, secret);
    }

    private static Seal of(
            String job, int place, String sha256, Instant at, String after, PublicKey key, PrivateKey secret) {
        try {
            Signature signer = Signature.getInstance(ALGORITHM);
            signer.initSign(secret);
            signer.update(text(job, place, sha256, at, after).getBytes(StandardCharsets.UTF_8));
            return new Seal(
                    job,
                    place,
                    sha256,
                    at,
                    after,
                    Base64.getEncoder().encodeToString(key.getEncoded()),
                    Base64.getEncoder().encodeToString(signer.sign()));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java since 15 has Ed25519", e);
        }
    }

    private static String text(String job, int place, String sha256, Instant at, String after) {
        String text = String.join("\n", FORMAT, job, String.valueOf(place), sha256, at.toString());
        return after == null ? text : text + "\n" + after;
    }

    /** What is signed: format, job, place, sum and time, and in a journal what it follows, a line each. */
    public String text() {
        return text(job, place, sha256, at, after);
    }

    /** @throws UnreadableInput naming the field by its path */
    public static Seal read(String text) {
        Fields f = Fields.of("", Json.read(text), Unit.INCH);
        String format = f.requiredText("format");
        if (!format.equals(FORMAT)) {
            throw f.error("format", "\"" + FORMAT + "\" is required, got \"" + format + "\"");
        }
        String at = f.requiredText("at");
        try {
            Seal seal = new Seal(
                    f.requiredText("job"),
                    f.number("place")
                            .orElseThrow(() -> f.error("place", "is missing"))
                            .intValue(),
                    f.requiredText("sha256"),
                    Instant.parse(at),
                    f.text("after").orElse(null),
                    f.requiredText("key"),
                    f.requiredText("signature"));
            f.end();
            return seal;
        } catch (DateTimeException e) {
            throw f.error("at", "a time as 2026-11-29T06:00:00Z is required, got \"" + at + "\"");
        }
    }

    /** One line. */
    public String write() {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(FORMAT));
        fields.put("job", new Json.Text(job));
        fields.put("place", new Json.Number(String.valueOf(place)));
        fields.put("sha256", new Json.Text(sha256));
        fields.put("at", new Json.Text(at.toString()));
        if (after != null) {
            fields.put("after", new Json.Text(after));
        }
        fields.put("key", new Json.Text(key));
        fields.put("signature", new Json.Text(signature));
        return Json.write(new Json.Object(fields)).replace("\n", "").strip();
    }

    /** Whether it is as it was signed, by the key that it names. */
    public boolean isGenuine() {
        try {
            Signature checker = Signature.getInstance(ALGORITHM);
            checker.initVerify(KeyFactory.getInstance(ALGORITHM)
                    .generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(key))));
            checker.update(text().getBytes(StandardCharsets.UTF_8));
            return checker.verify(Base64.getDecoder().decode(signature));
        } catch (GeneralSecurityException | IllegalArgumentException e) {
            return false;
        }
    }

    /** What does not fit between this seal and a chain; empty where the sealed record stands at its place. */
    public Optional<String> fault(ChainFile chain) {
        if (!isGenuine()) {
            return Optional.of("the seal itself was changed: its signature is not that of its key");
        }
        if (!chain.job().equals(job)) {
            return Optional.of("the seal is of another job: " + job);
        }
        return fault(chain.links().stream()
                .filter(l -> l.place() == place)
                .map(ChainFile.Link::sha256)
                .findFirst());
    }

    /** The same, of the sum that stands at the seal's place. */
    public Optional<String> fault(Optional<String> standing) {
        if (standing.isEmpty()) {
            return Optional.of("record " + place + " was sealed on " + at + " and is gone: the chain was cut off");
        }
        return standing.get().equals(sha256)
                ? Optional.empty()
                : Optional.of("record " + place + " is another than the one that was sealed on " + at);
    }
}
