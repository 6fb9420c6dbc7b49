package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import org.junit.jupiter.api.Test;

/**
 * What must hold of any file by any code, without a second program to compare with: the order of entries, the end that is
 * measured from, a ring's datum and the unit change nothing; a stretch told as two is the same stretch; a deeper one is
 * never better; taking away what rejects never makes another thing reject. 200 documents, 800 with {@code -Dsweeps=true}; as many as
 * {@code -Dmensor.documents=200000} says.
 */
class RandomDocumentsTest {
    private static final int DOCUMENTS =
            Integer.getInteger("mensor.documents", Boolean.getBoolean("sweeps") ? 800 : 200);
    private static final int FIRST_SEED = Integer.getInteger("mensor.documents.seed", 1);

    private static String verdicts(Evaluation e) {
        StringBuilder all = new StringBuilder();
        e.findings()
                .forEach(f -> all.append(f.id()).append(' ').append(f.verdict()).append('\n'));
        return all.toString();
    }

    private static int badness(Verdict v) {
        return switch (v) {
            case ACCEPT, NOT_APPLICABLE -> 0;
            case INCOMPLETE -> 1;
            case REJECT -> 2;
        };
    }

    @Test
    void whatMustHoldOfAnyDocument() {
        int judged = 0;
        int[] seen = new int[Verdict.values().length];
        for (int seed = FIRST_SEED; seed < FIRST_SEED + DOCUMENTS; seed++) {
            Random random = new Random(seed);
            RandomDocument document = RandomDocument.of(random);
            Evaluation e;
            try {
                e = document.judge();
            } catch (UnreadableInput unreadable) {
                continue;
            }
            judged++;
            seen[e.verdict().ordinal()]++;
            String as = "seed " + seed + ": " + document.text();
            assertThat(verdicts(shuffled(document, random).judge()))
                    .as("order, " + as)
                    .isEqualTo(verdicts(e));
            assertThat(verdicts(document.mirrored().judge()))
                    .as("mirror, " + as)
                    .isEqualTo(verdicts(e));
            if (document.isClosed() && !document.has("use")) {
                int by = random.nextInt(1_000);
                assertThat(verdicts(document.turned(by).judge()))
                        .as("turned by " + by + "/8, " + as)
                        .isEqualTo(verdicts(e));
            }
            assertThat(verdicts(document.inTheOtherUnit().judge()))
                    .as("unit, " + as)
                    .isEqualTo(verdicts(e));
            cutInTwo(document, e, as);
            deeper(document, e, random, as);
            without(document, e, as);
        }
        assertThat(judged).as("documents that could be read").isGreaterThan(DOCUMENTS / 2);
        for (Verdict v : List.of(Verdict.ACCEPT, Verdict.REJECT, Verdict.INCOMPLETE)) {
            assertThat(seen[v.ordinal()]).as(v + " among them").isGreaterThan(DOCUMENTS / 50);
        }
    }

    private static RandomDocument shuffled(RandomDocument d, Random random) {
        List<Map<String, Object>> readings = d.entries("readings");
        List<Map<String, Object>> indications = d.entries("indications");
        Collections.shuffle(readings, random);
        Collections.shuffle(indications, random);
        return d.with("readings", readings).with("indications", indications);
    }

    /** An undercut, an underfill or the like is the same where it is told as two stretches that touch. */
    private static void cutInTwo(RandomDocument d, Evaluation e, String as) {
        List<Map<String, Object>> cut = new ArrayList<>();
        for (Map<String, Object> i : d.entries("indications")) {
            String from = String.valueOf(i.get("from"));
            String to = String.valueOf(i.get("to"));
            boolean one = !i.containsKey("from") || i.get("kind").equals("porosity");
            int middle =
                    one ? 0 : (Integer.parseInt(from.replace("/8", "")) + Integer.parseInt(to.replace("/8", ""))) / 2;
            boolean straight =
                    !one && Integer.parseInt(from.replace("/8", "")) < Integer.parseInt(to.replace("/8", "")) - 1;
            if (!straight) {
                cut.add(i);
                continue;
            }
            Map<String, Object> first = new LinkedHashMap<>(i);
            Map<String, Object> second = new LinkedHashMap<>(i);
            first.put("to", middle + "/8");
            second.put("from", middle + "/8");
            cut.add(first);
            cut.add(second);
        }
        // a part of an undersize stretch may lie wholly off an intermittent weld, which the whole did not
        if (!d.has("segments")) {
            assertThat(verdicts(d.with("indications", cut).judge()))
                    .as("cut in two, " + as)
                    .isEqualTo(verdicts(e));
        }
    }

    private static void deeper(RandomDocument d, Evaluation e, Random random, String as) {
        List<Map<String, Object>> worse = d.entries("indications");
        for (int n = 0; n < worse.size(); n++) {
            Map<String, Object> i = new LinkedHashMap<>(worse.get(n));
            for (String f : List.of("depth", "diameter", "offset", "missing")) {
                if (i.get(f) instanceof String s && !s.equals("0") && !s.startsWith("0/")) {
                    String[] p = s.split("/");
                    i.put(f, Long.parseLong(p[0]) + 1 + random.nextInt(9) + "/" + p[1]);
                }
            }
            worse.set(n, i);
        }
        Evaluation after = d.with("indications", worse).judge();
        for (Finding f : e.findings()) {
            Verdict then = after.finding(f.id()).orElseThrow().verdict();
            assertThat(badness(then))
                    .as(f.id() + " was " + f.verdict() + ", deeper it is " + then + ", " + as)
                    .isGreaterThanOrEqualTo(badness(f.verdict()));
        }
    }

    private static void without(RandomDocument d, Evaluation e, String as) {
        for (Finding f : e.findings()) {
            if (f.verdict() != Verdict.REJECT) {
                continue;
            }
            RandomDocument less = d.with("indications", others(d.entries("indications"), f.indications()))
                    .with("readings", others(d.entries("readings"), f.readings()));
            Evaluation after = less.judge();
            for (Finding before : e.findings()) {
                boolean turned = before.verdict() == Verdict.ACCEPT
                        && after.finding(before.id()).orElseThrow().verdict() == Verdict.REJECT;
                assertThat(turned)
                        .as("without what rejects " + f.id() + ", " + before.id() + " rejects, " + as)
                        .isFalse();
            }
        }
    }

    private static List<Map<String, Object>> others(List<Map<String, Object>> all, List<Integer> without) {
        List<Map<String, Object>> rest = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (!without.contains(i)) {
                rest.add(all.get(i));
            }
        }
        return rest;
    }
}
