package mensor.study;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mensor.weld.InvalidField;

/**
 * What several people said of the same welds, each twice, without seeing the others: of the verdict and of each criterion.
 *
 * @param questions what was answered; the first is the verdict
 * @param answers by question, person, pass and weld: 0 accept, 1 reject, 2 left open
 * @param truth by question and weld; absent where nobody knows
 */
public record AgreementAnswers(
        String title, List<String> people, List<String> questions, int[][][][] answers, Optional<int[][]> truth) {
    public static final int ACCEPT = 0;
    public static final int REJECT = 1;
    public static final int OPEN = 2;
    private static final int KINDS = 3;

    public AgreementAnswers {
        people = List.copyOf(people);
        questions = List.copyOf(questions);
        if (people.size() < 2) {
            throw new InvalidField("people", "at least two people are required");
        }
        if (questions.isEmpty() || answers.length != questions.size()) {
            throw new InvalidField("answers", "a list for each question is required");
        }
        int passes = answers[0].length == 0 ? 0 : answers[0][0].length;
        int welds = passes == 0 ? 0 : answers[0][0][0].length;
        if (passes < 1 || passes > 2 || welds < 2) {
            throw new InvalidField("answers", "one or two passes over at least two welds are required");
        }
        for (int q = 0; q < answers.length; q++) {
            if (answers[q].length != people.size()) {
                throw new InvalidField("answers[" + q + "]", "a list for each person is required");
            }
            for (int p = 0; p < answers[q].length; p++) {
                String at = "answers[" + q + "][" + p + "]";
                if (answers[q][p].length != passes) {
                    throw new InvalidField(at, passes + " passes are required");
                }
                for (int[] pass : answers[q][p]) {
                    check(at, pass, welds);
                }
            }
        }
        if (truth.isPresent()) {
            if (truth.get().length != questions.size()) {
                throw new InvalidField("truth", "a list for each question is required");
            }
            for (int[] t : truth.get()) {
                check("truth", t, welds);
            }
        }
    }

    private static void check(String at, int[] answers, int welds) {
        if (answers.length != welds || Arrays.stream(answers).anyMatch(a -> a < ACCEPT || a > OPEN)) {
            throw new InvalidField(at, welds + " answers, each 0, 1 or 2, are required");
        }
    }

    public int passes() {
        return answers[0][0].length;
    }

    public int welds() {
        return answers[0][0][0].length;
    }

    /** One person's first pass against the second; empty where there was one pass. */
    public Optional<Kappa> withSelf(int question, int person) {
        return passes() < 2
                ? Optional.empty()
                : Optional.of(cohen(answers[question][person][0], answers[question][person][1]));
    }

    /** Two people's first passes. */
    public Kappa between(int question, int one, int other) {
        return cohen(answers[question][one][0], answers[question][other][0]);
    }

    private static Kappa cohen(int[] one, int[] other) {
        int[][] table = new int[KINDS][KINDS];
        for (int w = 0; w < one.length; w++) {
            table[one[w]][other[w]]++;
        }
        return Kappa.cohen(table);
    }

    /** All people's first passes. */
    public Kappa among(int question) {
        int[][] counts = new int[welds()][KINDS];
        for (int[][] person : answers[question]) {
            for (int w = 0; w < welds(); w++) {
                counts[w][person[0][w]]++;
            }
        }
        return Kappa.fleiss(counts);
    }

    /** How often a person leaned which way. */
    public record Lean(int falseAccepts, int ofBad, int falseRejects, int ofGood) {}

    /** Over all passes; empty where nobody knows the truth. */
    public Optional<Lean> lean(int question, int person) {
        return truth.map(t -> {
            int falseAccepts = 0;
            int bad = 0;
            int falseRejects = 0;
            int good = 0;
            for (int[] pass : answers[question][person]) {
                for (int w = 0; w < pass.length; w++) {
                    boolean isBad = t[question][w] == REJECT;
                    bad += isBad ? 1 : 0;
                    good += isBad ? 0 : 1;
                    falseAccepts += isBad && pass[w] == ACCEPT ? 1 : 0;
                    falseRejects += !isBad && pass[w] == REJECT ? 1 : 0;
                }
            }
            return new Lean(falseAccepts, bad, falseRejects, good);
        });
    }

    /** The welds of which not all said the same at first, the most divided first. */
    public List<Integer> divided(int question) {
        List<Integer> welds = new ArrayList<>();
        for (int w = 0; w < welds(); w++) {
            if (minority(question, w) > 0) {
                welds.add(w);
            }
        }
        welds.sort((a, b) -> Integer.compare(minority(question, b), minority(question, a)));
        return welds;
    }

    private int minority(int question, int weld) {
        int[] counts = new int[KINDS];
        for (int[][] person : answers[question]) {
            counts[person[0][weld]]++;
        }
        return people.size() - Arrays.stream(counts).max().orElseThrow();
    }
}
