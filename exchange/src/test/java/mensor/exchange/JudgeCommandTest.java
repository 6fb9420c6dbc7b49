package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.RandomAccessFile;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class JudgeCommandTest {
    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String stdin, String... files) {
        return new JudgeCommand(
                        new ByteArrayInputStream(stdin.getBytes(StandardCharsets.UTF_8)),
                        out,
                        new PrintWriter(err, true))
                .run(List.of(files));
    }

    private String file(String name, String content) throws IOException {
        Path p = folder.resolve(name);
        Files.writeString(p, content);
        return p.toString();
    }

    /** A 5/16 fillet, 24 in, all clear and tried with the blade. */
    static String sound(String indications) {
        return ("{'format':'mensor-inspection/1','criteria':'d1.1-static','units':'in','joint':{'mark':'J1','weld':'fillet','connection':'tee',"
                        + "'length':24,'size':'5/16','members':[{'thickness':'3/8'},{'thickness':'3/4'}]},"
                        + "'conditions':{'cleaned':true,'ambient':true},'clear':['all-else'],"
                        + "'readings':[{'from':0,'to':24,'atLeast':'5/16'}],'indications':[" + indications + "]}")
                .replace('\'', '"');
    }

    @Test
    void aHugeFileIsUnreadableInOneLineAndTheOthersAreJudged() throws IOException {
        Path huge = folder.resolve("huge.json");
        try (RandomAccessFile sparse = new RandomAccessFile(huge.toFile(), "rw")) {
            sparse.setLength(3L << 30);
        }
        assertThat(run("", huge.toString(), file("good.json", sound("")))).isEqualTo(3);
        assertThat(err.toString().lines()).singleElement().asString().contains("huge.json: is over 200 MB");
        assertThat(out.toString().lines()).singleElement().asString().contains("\"verdict\":\"accept\"");
    }

    @Test
    void whatFailsOtherwiseNeverEndsWithTheCodeOfAVerdict() {
        PrintWriter said = new PrintWriter(err, true);
        assertThat(FileCommand.codeOf(
                        () -> {
                            throw new IllegalStateException("the disk is gone");
                        },
                        said))
                .isEqualTo(3);
        assertThat(FileCommand.codeOf(
                        () -> {
                            throw new OutOfMemoryError("no room");
                        },
                        said))
                .isEqualTo(3);
        assertThat(err.toString().lines()).hasSize(2);
    }

    @Test
    void answersOneLineAFileInOrderAndExitsWithTheWorst() throws IOException {
        String good = file("good.json", sound(""));
        String bad = file("bad.json", sound("{'kind':'crack','at':3}"));
        String open = file("open.json", sound("{'kind':'slag','from':3,'to':4}"));
        assertThat(run("", good)).isZero();
        assertThat(run("", open)).isEqualTo(2);
        assertThat(run("", good, bad, open)).isEqualTo(1);
        assertThat(run("", good, file("broken.json", "{"), bad)).isEqualTo(3);
        List<String> lines = out.toString().lines().toList();
        assertThat(lines).hasSize(7);
        assertThat(lines.get(3)).contains("\"file\":\"" + bad + "\"").contains("\"verdict\":\"reject\"");
        assertThat(err.toString().lines()).singleElement().asString().contains("broken.json: not valid JSON");
    }

    @Test
    void readsStandardInputAndNamesMissingFiles() {
        assertThat(run(sound(""), "-")).isZero();
        assertThat(out.toString()).contains("\"file\":\"-\"");
        assertThat(run("", folder.resolve("none.json").toString())).isEqualTo(3);
        assertThat(run("")).isEqualTo(3);
        assertThat(err.toString()).contains("no such file").doesNotContain("Exception");
    }

    @Test
    void theAnswerHasTheShapeOfTheFormat() {
        run(sound("{'kind':'undercut','toe':'B','from':2,'to':'4 1/4','depth':'1/16'}"), "-");
        JsonNode answer = JsonMapper.shared().readTree(out.toString());
        assertThat(answer.propertyNames())
                .containsExactly(
                        "format", "file", "mark", "criteria", "edition", "verdict", "findings", "todo", "notes");
        assertThat(answer.get("findings")
                        .valueStream()
                        .map(f -> f.get("criterion").asString()))
                .containsExactly(
                        "readiness",
                        "crack",
                        "fusion",
                        "crater",
                        "overlap",
                        "profile",
                        "size",
                        "length",
                        "as-drawn",
                        "undercut",
                        "porosity",
                        "arc-strike",
                        "slag",
                        "spatter",
                        "root",
                        "misalignment",
                        "base-metal");
        JsonNode undercut = answer.get("findings").get(9);
        assertThat(undercut.get("numbers").toString())
                .isEqualTo("{\"measured\":\"2.25 in\",\"allowed\":\"2 in\",\"margin\":\"-0.25 in\"}");
        assertThat(undercut.get("indications").toString()).isEqualTo("[0]");
        assertThat(undercut.get("span").get(1).asString()).isEqualTo("12 in");
        assertThat(undercut.get("confidence").asString()).isEqualTo("high");
        assertThat(undercut.get("nearLimit").asBoolean()).isFalse();
        assertThat(answer.get("notes").toString()).contains("Visual inspection only");
    }

    private int trace(String stdin, String... arguments) {
        return new TraceCommand(
                        new ByteArrayInputStream(stdin.getBytes(StandardCharsets.UTF_8)),
                        new PrintWriter(out, true),
                        new PrintWriter(err, true))
                .run(List.of(arguments));
    }

    @Test
    void traceAnswersWhatRejectsAndWithAllEveryIndication() {
        String file = sound(
                "{'kind':'spatter','from':1,'to':2},{'kind':'undercut','toe':'A','from':3,'to':9,'depth':'1/16'}");
        assertThat(trace(file, "-")).isZero();
        assertThat(trace(file, "--all", "-")).isZero();
        List<String> lines = out.toString().lines().toList();
        JsonNode rejecting = JsonMapper.shared().readTree(lines.get(0));
        assertThat(rejecting.get("format").asString()).isEqualTo("mensor-causes/1");
        assertThat(rejecting.get("defects")).singleElement().satisfies(d -> {
            assertThat(d.get("indication").asInt()).isEqualTo(1);
            assertThat(d.get("causes").get(0).propertyNames())
                    .containsExactly("class", "name", "standing", "for", "against", "check", "change");
        });
        assertThat(JsonMapper.shared().readTree(lines.get(1)).get("defects")).hasSize(2);
    }

    @Test
    void traceSaysWhatItCannotRead() {
        assertThat(trace("{", "-")).isEqualTo(3);
        assertThat(trace("")).isEqualTo(3);
        assertThat(err.toString()).contains("not valid JSON").doesNotContain("Exception");
    }

    /** The examples of the documentation: a fillet undercut too long, a groove whose crown stands 5/32 in where 1/8 is allowed. */
    @ParameterizedTest
    @CsvSource({"ST2-17, undercut", "FB-21, profile"})
    void theExamplesAreJudgedAsTheyAreDescribed(String mark, String rejecting) throws IOException {
        InspectionDocument d =
                InspectionDocument.read(Files.readString(Path.of("..", "docs", "examples", mark + ".json")));
        assertThat(mensor.judge.Judge.evaluate(d.inspection(), d.book()).rejected())
                .singleElement()
                .satisfies(f -> assertThat(f.id()).isEqualTo(rejecting));
    }
}
