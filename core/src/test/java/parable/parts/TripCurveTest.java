package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Curves of fuses and breakers against the gates of their standards. */
class TripCurveTest {

    /** IEC 60898-1, table 7, and the gates of IEC 60269-1 and -2: not before, and no later than. Times in s, of a cold start. */
    @ParameterizedTest(name = "{0} at {1} times")
    @CsvSource({
        "B, 1.13, 3600, Infinity",
        "B, 1.45, 0, 3600",
        "B, 2.55, 1, 60",
        "B, 3, 0.1, 90",
        "B, 5, 0, 0.1",
        "C, 1.13, 3600, Infinity",
        "C, 1.45, 0, 3600",
        "C, 2.55, 1, 60",
        "C, 5, 0.1, 30",
        "C, 10, 0, 0.1",
        "D, 1.13, 3600, Infinity",
        "D, 1.45, 0, 3600",
        "D, 2.55, 1, 60",
        "D, 10, 0.1, 8",
        "D, 20, 0, 0.1",
        "GG, 1.25, 3600, Infinity",
        "GG, 1.6, 0, 3600",
        "GG, 5, 0.5, 5",
        "AM, 4, 60, Infinity",
        "AM, 6.3, 0, 60",
        "AM, 12.5, 0, 0.5",
        "AM, 19, 0, 0.1"
    })
    void opensWithinItsGates(TripCurve curve, double multiple, double notBefore, double noLater) {
        assertThat(curve.secondsAt(multiple)).isBetween(notBefore, noLater);
    }

    @ParameterizedTest
    @EnumSource(TripCurve.class)
    void moreCurrentNeverTakesLonger(TripCurve curve) {
        double before = Double.POSITIVE_INFINITY;
        for (double multiple = 0.5; multiple < 40; multiple += 0.01) {
            double seconds = curve.secondsAt(multiple);
            assertThat(seconds)
                    .as("%s at %s times", curve, multiple)
                    .isPositive()
                    .isLessThanOrEqualTo(before);
            before = seconds;
        }
    }

    @ParameterizedTest
    @EnumSource(TripCurve.class)
    void theRatedCurrentIsCarriedForGood(TripCurve curve) {
        assertThat(curve.secondsAt(1)).isInfinite();
        assertThat(new Protection(16, java.util.Optional.of(curve)).secondsAt(16))
                .isInfinite();
    }

    @ParameterizedTest
    @EnumSource(TripCurve.class)
    void isNamedAsItIsPrinted(TripCurve curve) {
        assertThat(TripCurve.named(curve.sign())).isEqualTo(curve);
    }

    @ParameterizedTest
    @CsvSource({"16, 80, 5", "10, 80, 8", "6, 6.6, 1.1"})
    void aProtectionCountsInItsRatedCurrent(double rated, double current, double multiple) {
        Protection breaker = new Protection(rated, java.util.Optional.of(TripCurve.C));

        assertThat(breaker.secondsAt(current)).isEqualTo(TripCurve.C.secondsAt(multiple));
    }

    /** A thermal release of its own decides that. */
    @Test
    void withoutACurveNothingOpensByItself() {
        assertThat(new Protection(16, java.util.Optional.empty()).secondsAt(1_000))
                .isInfinite();
    }
}
