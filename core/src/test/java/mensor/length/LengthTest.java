package mensor.length;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {
    /** 1 in is 25.4 mm exactly: international yard and pound agreement, 1959; so 1/64 in is 396,875 nm. */
    @ParameterizedTest
    @CsvSource({
        "1/64, 396875",
        "1/32, 793750",
        "1 1/8, 28575000",
        "1-1/8, 28575000",
        ".03, 762000",
        "0.5, 12700000",
        "2.4mm, 2400000",
        "2.4 mm, 2400000",
        "0.5 in, 12700000",
        "'3/16\"', 4762500",
        "-1/32, -793750",
        "9/8, 28575000",
        "'  1/2  ', 12700000",
        "0, 0",
    })
    void readsLengthsAsAGaugeShowsThem(String text, long nanometres) {
        assertThat(Length.parse(text, Unit.INCH)).isEqualByComparingTo(Length.ofNanometres(nanometres, Unit.INCH));
    }

    @Test
    void readsABareNumberInTheDrawingsUnit() {
        assertThat(Length.parse("8", Unit.MILLIMETRE)).isEqualByComparingTo(Length.ofNanometres(8_000_000, Unit.INCH));
        assertThat(Length.parse("5/16in", Unit.MILLIMETRE).unit()).isEqualTo(Unit.INCH);
    }

    @Test
    void keepsWhatIsNoWholeNanometreAsAnExactFraction() {
        Length third = Length.parse("1/3", Unit.INCH);
        assertThat(third.times(3)).isEqualByComparingTo(Length.inches(1));
        assertThat(third.toString()).isEqualTo("1/3 in");
        assertThat(Length.parse("0.0000001mm", Unit.INCH).times(10_000_000))
                .isEqualByComparingTo(Length.millimetres("1"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "abc",
                "1e3",
                "1,5",
                "+1",
                "½",
                "1/0",
                "1/1001",
                "1 / 2",
                "5.",
                "1.2.3",
                "1  1/8",
                "--1",
                "1/2/3",
                "1 ft",
                "2.4 cm",
                "1001000 mm",
                "39371",
                "1\t1/8",
                "१"
            })
    void refusesNonsenseAndWhatIsOverAKilometre(String text) {
        assertThatThrownBy(() -> Length.parse(text, Unit.INCH)).isInstanceOf(LengthFormatException.class);
    }

    @Test
    void acceptsExactlyOneKilometreAndOverflowsLoudly() {
        Length kilometre = Length.parse("1000000 mm", Unit.MILLIMETRE);
        assertThat(kilometre).isEqualByComparingTo(Length.ofNanometres(1_000_000_000_000L, Unit.MILLIMETRE));
        assertThatThrownBy(() -> kilometre.times(Long.MAX_VALUE)).isInstanceOf(ArithmeticException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "5/16, 5/16",
        "0.3125, 5/16",
        "1.125, 1 1/8",
        "2, 2",
        ".03, .03",
        "-3/64, -3/64",
        "1/3, 1/3",
    })
    void showsInchesAsFractionsToASixtyFourth(String typed, String shown) {
        assertThat(Length.parse(typed, Unit.INCH).shown()).isEqualTo(shown);
    }

    @Test
    void showsMillimetresAsDecimalsAndMarksWhatIsRounded() {
        assertThat(Length.parse("2.40mm", Unit.INCH).shownWithUnit()).isEqualTo("2.4 mm");
        assertThat(Length.inches(5, 16).in(Unit.MILLIMETRE).shown()).isEqualTo("7.9375");
        assertThat(Length.millimetres("1").in(Unit.INCH).shown()).isEqualTo("≈.0394");
        assertThat(Length.inches(1, 64).decimal()).isEqualTo("0.015625 in");
    }

    @Test
    void whatIsPrintedReadsBackTheSame() {
        Random random = new Random(20260504);
        for (int i = 0; i < 5_000; i++) {
            String text = switch (random.nextInt(4)) {
                case 0 -> random.nextInt(100) + " " + random.nextInt(1000) + "/" + (1 + random.nextInt(1000));
                case 1 -> random.nextInt(5000) + "/" + (1 + random.nextInt(1000)) + "mm";
                case 2 -> random.nextInt(1000) + "." + random.nextInt(1_000_000_000) + "mm";
                default -> "-." + random.nextInt(1_000_000) + " in";
            };
            Length read = Length.parse(text, Unit.INCH);
            assertThat(Length.parse(read.toString(), Unit.MILLIMETRE)).as(text).isEqualTo(read);
        }
    }

    @Test
    void realLengthsThatAreEqualCompareAsEqual() {
        // 7/(5√2) from legs 1 and 7 is 0.7·√2: two ways to one number.
        RealLength byLegs =
                RealLength.of(Length.inches(7)).dividedBy(RealLength.root(java.math.BigDecimal.valueOf(50)));
        RealLength direct = RealLength.of(Length.inches(7, 10)).times(RealLength.root(java.math.BigDecimal.valueOf(2)));
        assertThat(byLegs).isEqualByComparingTo(direct);
        assertThat(byLegs.isUnder(direct.plus(RealLength.of(Length.ofNanometres(1, Unit.INCH)))))
                .isTrue();
    }

    /** Against java.math: sums, order and equality of random fractions of either sign, whole nanometres or not. */
    @Test
    void fractionsAgreeWithPlainArithmeticOfWholeNumbers() {
        Random random = new Random(7);
        for (int round = 0; round < 20_000; round++) {
            long a = random.nextInt(2001) - 1000;
            long b = 1 + random.nextInt(999);
            long c = random.nextInt(2001) - 1000;
            long d = 1 + random.nextInt(999);
            Length x = Length.inches(a, b);
            Length y = Length.inches(c, d);
            BigInteger left = BigInteger.valueOf(a).multiply(BigInteger.valueOf(d));
            BigInteger right = BigInteger.valueOf(c).multiply(BigInteger.valueOf(b));
            assertThat(Integer.signum(x.compareTo(y)))
                    .as(a + "/" + b + " against " + c + "/" + d)
                    .isEqualTo(left.compareTo(right));
            assertThat(x.equals(y)).isEqualTo(left.equals(right));
            assertThat(x.minus(y).signum()).isEqualTo(left.compareTo(right));
            assertThat(x.max(y)).isEqualByComparingTo(left.compareTo(right) >= 0 ? x : y);
            BigDecimal sum = new BigDecimal(left.add(right))
                    .divide(BigDecimal.valueOf(b * d), new MathContext(40))
                    .setScale(6, RoundingMode.HALF_UP);
            assertThat(new BigDecimal(x.plus(y).decimal().replace(" in", ""))).isEqualByComparingTo(sum);
        }
    }
}
