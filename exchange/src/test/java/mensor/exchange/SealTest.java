package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.Signature;
import java.security.spec.X509EncodedKeySpec;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SealTest {
    private static final Instant AT = Instant.parse("2026-11-29T06:00:00Z");
    private static final KeyPair KEY = key();

    private static KeyPair key() {
        try {
            return KeyPairGenerator.getInstance(Seal.ALGORITHM).generateKeyPair();
        } catch (java.security.GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ChainFile chain(int records) {
        List<ChainFile.Link> links = new ArrayList<>();
        for (int i = 1; i <= records; i++) {
            String record = "{\"signature\":{\"chainPlace\":\"" + i + "\""
                    + (i == 1 ? "" : ",\"previousSha256\":\"" + links.get(i - 2).sha256() + "\"") + "}}";
            links.add(new ChainFile.Link(i, "M-" + i, ChainFile.sha256(record), record));
        }
        return new ChainFile("Lock footbridge", links);
    }

    private static Seal sealed(ChainFile chain) {
        ChainFile.Link last = chain.links().get(chain.links().size() - 1);
        return Seal.of(chain.job(), last.place(), last.sha256(), AT, KEY.getPublic(), KEY.getPrivate());
    }

    /** RFC 8032, 7.1, test 3: the JDK's Ed25519 is the published one. */
    @Test
    void theKeysAreThoseOfTheStandard() throws Exception {
        byte[] head = HexFormat.of().parseHex("302a300506032b6570032100");
        byte[] point = HexFormat.of().parseHex("fc51cd8e6218a1a38da47ed00230f0580816ed13ba3303ac5deb911548908025");
        byte[] key = new byte[head.length + point.length];
        System.arraycopy(head, 0, key, 0, head.length);
        System.arraycopy(point, 0, key, head.length, point.length);
        Signature check = Signature.getInstance(Seal.ALGORITHM);
        check.initVerify(KeyFactory.getInstance(Seal.ALGORITHM).generatePublic(new X509EncodedKeySpec(key)));
        check.update(HexFormat.of().parseHex("af82"));
        assertThat(check.verify(HexFormat.of()
                        .parseHex("6291d657deec24024827e69c3abe01a30ce548a284743a445e3680d7db5ac3ac"
                                + "18ff9b538d16f290ae67f760984dc6594a7c15e9716ed28dc027beceea1ec40a")))
                .isTrue();
    }

    @Test
    void aChainThatWentOnHoldsItsSeal() {
        Seal seal = sealed(chain(3));
        assertThat(seal.fault(chain(3))).isEmpty();
        assertThat(seal.fault(chain(5))).isEmpty();
        assertThat(Seal.read(seal.write())).isEqualTo(seal);
    }

    @Test
    void aChainCutOffOrRewrittenDoesNot() {
        Seal seal = sealed(chain(3));
        ChainFile cut = chain(2);
        assertThat(cut.check()).as("the chain alone looks whole").isEmpty();
        assertThat(seal.fault(cut)).hasValueSatisfying(f -> assertThat(f).contains("was cut off"));
        Seal other = Seal.of(seal.job(), 3, ChainFile.sha256("another"), AT, KEY.getPublic(), KEY.getPrivate());
        assertThat(other.fault(chain(3))).hasValueSatisfying(f -> assertThat(f).contains("is another"));
    }

    @Test
    void aSealThatWasChangedIsNone() {
        Seal s = sealed(chain(3));
        assertThat(s.isGenuine()).isTrue();
        assertThat(new Seal(s.job(), 2, s.sha256(), s.at(), null, s.key(), s.signature()).isGenuine())
                .isFalse();
        assertThat(new Seal(s.job(), 3, s.sha256(), s.at().plusSeconds(1), null, s.key(), s.signature()).isGenuine())
                .isFalse();
        assertThat(new Seal(s.job(), 3, s.sha256(), s.at(), null, "nonsense", s.signature()).isGenuine())
                .isFalse();
        assertThatThrownBy(() -> Seal.read(s.write().replace("2026-11-29", "yesterday")))
                .isInstanceOf(UnreadableInput.class)
                .hasMessageContaining("at");
    }

    @Test
    void theCommandComparesAChainWithItsSeals(@TempDir Path folder) throws Exception {
        Path seal =
                Files.writeString(folder.resolve("seal.json"), sealed(chain(3)).write());
        Path whole = Files.writeString(folder.resolve("whole.json"), chain(4).write());
        Path cut = Files.writeString(folder.resolve("cut.json"), chain(2).write());
        StringWriter out = new StringWriter();
        VerifyCommand command = new VerifyCommand(
                new ByteArrayInputStream(new byte[0]), new PrintWriter(out, true), new PrintWriter(out, true));
        assertThat(command.run(List.of("--seal", seal.toString(), whole.toString())))
                .isZero();
        assertThat(command.run(List.of("--seal", seal.toString(), cut.toString())))
                .isEqualTo(1);
        assertThat(command.run(List.of("--seal"))).isEqualTo(3);
        assertThat(command.run(List.of("--seal", folder.resolve("none").toString(), whole.toString())))
                .isEqualTo(3);
        assertThat(out.toString()).contains("has what was sealed").contains("was cut off");
    }

    /** A journal holds the seals of all jobs, and names jobs that were brought in: this one's are compared, what has no seal is said. */
    @Test
    void theCommandTakesTheWholeJournal(@TempDir Path folder) throws Exception {
        Seal other = Seal.of("Stairs", 1, ChainFile.sha256("x"), AT, KEY.getPublic(), KEY.getPrivate());
        Path journal = Files.write(
                folder.resolve("seals.jsonl"),
                List.of(
                        other.write(),
                        "{\"format\":\"mensor-brought/1\",\"job\":\"Yard\"}",
                        sealed(chain(3)).write()));
        Path whole = Files.writeString(folder.resolve("whole.json"), chain(4).write());
        StringWriter out = new StringWriter();
        VerifyCommand command = new VerifyCommand(
                new ByteArrayInputStream(new byte[0]), new PrintWriter(out, true), new PrintWriter(out, true));
        assertThat(command.run(List.of("--seal", journal.toString(), whole.toString())))
                .isZero();
        assertThat(out.toString()).contains("has what was sealed; no seal is there of 3 of them");
        Path foreign = Files.writeString(folder.resolve("foreign.jsonl"), other.write());
        assertThat(command.run(List.of("--seal", foreign.toString(), whole.toString())))
                .isEqualTo(1);
        assertThat(out.toString()).contains("no seal is of this job; the first is of Stairs");
    }

    /** What is read out by telephone. */
    @Test
    void aKeyHasAFingerprint() {
        Seal seal = sealed(chain(1));
        assertThat(seal.fingerprint()).hasSize(Seal.FINGERPRINT_DIGITS).matches("[0-9A-F]+");
        assertThat(Seal.inGroups("7F3A92C10B44D9E0")).isEqualTo("7F3A 92C1 0B44 D9E0");
    }
}
