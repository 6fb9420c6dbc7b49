package mensor.cause;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import mensor.weld.Sign;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What must hold of any ranking, whatever the table's weights are. */
class RankingTest {
    private static Ranking ranking(Situation s, Evidence e) {
        return new Ranking(s, e, Map.of(), List.of());
    }

    private static Evidence random(Situation situation, Random random) {
        Evidence e = new Evidence(situation);
        for (Sign sign : Sign.values()) {
            switch (random.nextInt(6)) {
                case 0 -> e.seen(sign);
                case 1 -> e.absent(sign);
                default -> {}
            }
        }
        for (Fact fact : Fact.values()) {
            if (random.nextInt(5) == 0) {
                e.tell(fact, fact.id());
            }
        }
        return e;
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void theSharesOfTheCausesAndOtherAddUp(Situation situation) {
        Random random = new Random(situation.ordinal());
        for (int n = 0; n < 50; n++) {
            Ranking r = ranking(situation, random(situation, random));
            double known = r.order().stream().mapToDouble(row -> r.share(row)).sum();
            assertThat(known).isPositive().isLessThan(1);
            for (Standing standing : Standing.values()) {
                List<Double> shares = r.order().stream()
                        .filter(row -> r.standing(row) == standing)
                        .map(r::share)
                        .toList();
                assertThat(shares).isSortedAccordingTo(Collections.reverseOrder());
            }
            assertThat(r.order()).isSortedAccordingTo(java.util.Comparator.comparing(r::standing));
        }
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void evidenceForOneCauseNeverLowersIt(Situation situation) {
        Random random = new Random(100 + situation.ordinal());
        for (CauseTable.Row row : CauseTable.rows(situation)) {
            long seed = random.nextLong();
            Ranking before = ranking(situation, random(situation, new Random(seed)));
            Evidence more = random(situation, new Random(seed));
            more.tried(row.cause(), 0.3, true, "one thing more");
            Ranking after = ranking(situation, more);
            assertThat(after.share(row)).isGreaterThan(before.share(row));
            assertThat(place(after, row)).isLessThanOrEqualTo(place(before, row));
        }
    }

    @ParameterizedTest
    @EnumSource(Sign.class)
    void theCauseThatASignSpeaksForMostIsNeverLoweredByIt(Sign sign) {
        CauseTable.Weight most = CauseTable.weights(sign).stream()
                .reduce((a, b) -> a.weight() >= b.weight() ? a : b)
                .orElseThrow();
        for (Situation situation : Situation.values()) {
            if (CauseTable.rows(situation).stream().noneMatch(r -> r.cause() == most.cause())) {
                continue;
            }
            Evidence none = new Evidence(situation);
            Evidence seen = new Evidence(situation);
            seen.seen(sign);
            CauseTable.Row row = CauseTable.rows(situation).stream()
                    .filter(most::speaksOf)
                    .findFirst()
                    .orElseThrow();
            assertThat(ranking(situation, seen).share(row))
                    .as(sign + " in " + situation)
                    .isGreaterThanOrEqualTo(ranking(situation, none).share(row) - 1e-12);
        }
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void theOrderOfTheEvidenceDoesNotMatter(Situation situation) {
        List<Sign> signs = new ArrayList<>(Arrays.asList(Sign.values()));
        List<Fact> facts = new ArrayList<>(Arrays.asList(Fact.values()));
        List<CauseClass> first = null;
        for (int n = 0; n < 20; n++) {
            Collections.shuffle(signs, new Random(n));
            Collections.shuffle(facts, new Random(n));
            Evidence e = new Evidence(situation);
            facts.subList(0, facts.size()).forEach(f -> e.tell(f, f.id()));
            signs.forEach(e::seen);
            List<CauseClass> order = ranking(situation, e).order().stream()
                    .map(CauseTable.Row::cause)
                    .toList();
            first = first == null ? order : first;
            assertThat(order).isEqualTo(first);
        }
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void whatIsRuledOutNeitherLeadsNorStandsInTheOrder(Situation situation) {
        for (CauseTable.Row row : CauseTable.rows(situation)) {
            Evidence strong = new Evidence(situation);
            strong.tried(row.cause(), 9, true, "all speaks for it");
            Ranking r = new Ranking(situation, strong, Map.of(row, "it cannot be"), List.of());
            assertThat(r.order()).doesNotContain(row);
            assertThat(r.share(row)).isZero();
            assertThat(r.ruledOut()).containsEntry(row, "it cannot be");
        }
    }

    @ParameterizedTest
    @EnumSource(Situation.class)
    void whatNeverLeadsDoesNotWhateverSpeaksForIt(Situation situation) {
        for (CauseTable.Row row : CauseTable.rows(situation)) {
            Evidence strong = new Evidence(situation);
            strong.tried(row.cause(), 9, true, "all speaks for it");
            Ranking r = new Ranking(situation, strong, Map.of(), List.of(row.cause()));
            if (CauseTable.rows(situation).size() > 1) {
                assertThat(r.order().get(0)).isNotEqualTo(row);
            }
        }
    }

    /**
     * The expected entropy against the definition of mutual information over all pairs of cause and answer: the sign that
     * leaves the least entropy tells the most (Shannon 1948, from memory: H(C|S) = H(C) − I(C;S)).
     */
    @ParameterizedTest
    @EnumSource(Situation.class)
    void theNextCheckIsTheOneThatABruteForceFinds(Situation situation) {
        Random random = new Random(7);
        for (int n = 0; n < 10; n++) {
            Ranking r = ranking(situation, random(situation, random));
            Map<CauseTable.Row, Double> shares = new java.util.LinkedHashMap<>();
            r.order().forEach(row -> shares.put(row, r.share(row)));
            double other = 1 - shares.values().stream().mapToDouble(d -> d).sum();
            Sign best = null;
            double most = 1e-9;
            for (Sign sign : Sign.values()) {
                double tells = tells(sign, shares, other);
                double entropy = entropy(Stream.concat(shares.values().stream(), Stream.of(other)));
                assertThat(r.expectedEntropy(sign)).isCloseTo(entropy - tells, within(1e-9));
                if (tells > most + 1e-12) {
                    most = tells;
                    best = sign;
                }
            }
            Sign found = r.next(List.of()).orElse(null);
            assertThat(found == null).isEqualTo(best == null);
            if (best != null) {
                assertThat(tells(found, shares, other)).isCloseTo(most, within(1e-9));
            }
        }
    }

    private static double entropy(Stream<Double> shares) {
        return shares.mapToDouble(p -> p <= 0 ? 0 : -p * Math.log(p)).sum();
    }

    private static double chance(Sign sign, CauseTable.Row row) {
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            if (w.speaksOf(row)) {
                return Math.min(0.95, 0.2 * Math.exp(w.weight()));
            }
        }
        return 0.2;
    }

    private static double tells(Sign sign, Map<CauseTable.Row, Double> shares, double other) {
        double yes = 0.2 * other;
        for (Map.Entry<CauseTable.Row, Double> e : shares.entrySet()) {
            yes += e.getValue() * chance(sign, e.getKey());
        }
        double sum = pair(other, 0.2, yes) + pair(other, 0.8, 1 - yes);
        for (Map.Entry<CauseTable.Row, Double> e : shares.entrySet()) {
            double c = chance(sign, e.getKey());
            sum += pair(e.getValue(), c, yes) + pair(e.getValue(), 1 - c, 1 - yes);
        }
        return sum;
    }

    private static double pair(double share, double given, double answer) {
        return share <= 0 ? 0 : share * given * Math.log(given / answer);
    }

    private static int place(Ranking r, CauseTable.Row row) {
        return r.order().indexOf(row);
    }

    @Test
    void everySignAndEveryFactOfTheTableSpeaksOfSomething() {
        for (Sign sign : Sign.values()) {
            assertThat(CauseTable.weights(sign)).as(sign.id()).isNotEmpty();
            assertThat(CauseTable.words(sign)).isNotBlank();
        }
        for (Fact fact : Fact.values()) {
            assertThat(Stream.of(Situation.values())
                            .anyMatch(s -> !CauseTable.weights(fact, s).isEmpty()))
                    .as(fact.id())
                    .isTrue();
        }
        for (CauseClass cause : CauseClass.values()) {
            assertThat(CauseTable.prevention(cause)).as(cause.id()).isNotBlank();
        }
    }

    @Test
    void aTableWithAWordThatNobodyKnowsNamesItsLine() {
        assertThatThrownBy(() -> new CauseTable(List.of("## Signs", "| ropey-bead | a | current-low 1 |")))
                .hasMessageContaining("\"ropey-bead\" is not known")
                .hasMessageContaining("current-low 1");
        assertThatThrownBy(() -> new CauseTable(List.of("## Rumours", "| a | b |")))
                .hasMessageContaining("Rumours");
    }
}
