package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HeaterTest {

    private static final double SETTING = 10;

    /** The seconds until a heater trips at a multiple of its setting, beginning with a heat; a day if it never does. */
    private static double tripTime(Heater heater, double multiple, double heat) {
        double low = 0;
        double high = 86_400;
        if (heater.after(heat, multiple * SETTING, high) < Heater.TRIPS_AT) {
            return high;
        }
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (heater.after(heat, multiple * SETTING, middle) < Heater.TRIPS_AT) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    /** The bands of IEC 60947-4-1 at 7.2 times the setting, cold. */
    @ParameterizedTest
    @CsvSource({"10A, 2, 10", "10, 4, 10", "20, 6, 20", "30, 9, 30"})
    void aColdReleaseTripsInsideTheBandOfItsClass(String tripClass, double shortest, double longest) {
        Heater heater = Heater.ofClass(tripClass, SETTING, 1, false, true);

        assertThat(tripTime(heater, 7.2, 0)).isBetween(shortest, longest);
    }

    @Test
    void aWarmReleaseTripsSooner() {
        Heater heater = Heater.ofClass("10", SETTING, 1, false, true);

        assertThat(tripTime(heater, 7.2, 1)).isLessThan(0.5 * tripTime(heater, 7.2, 0));
    }

    @ParameterizedTest
    @CsvSource({"10A", "10", "20", "30"})
    void neverAtOnePointNoughtFiveAndWithinTwoHoursAtOnePointTwo(String tripClass) {
        Heater heater = Heater.ofClass(tripClass, SETTING, 1, false, true);

        assertThat(tripTime(heater, 1.05, 0)).isEqualTo(86_400);
        assertThat(tripTime(heater, 1.2, 1.05 * 1.05)).isLessThan(7_200);
    }
}
