package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.ratings.JobTables;

class RatedCurrentTest {

    /** IEC 60947-4-1, table G.1, and NFPA 70, table 430.250; hp in kW at 0.7457. */
    @ParameterizedTest
    @CsvSource({
        "0.37, 400, 1.1",
        "0.75, 400, 1.9",
        "2.2, 400, 4.9",
        "4, 400, 8.5",
        "18.5, 400, 35",
        "75, 400, 132",
        "2.2, 690, 2.8",
        "2.2, 230, 8.5",
        "2.2371, 480, 4.8",
        "3.7285, 480, 7.6",
        "11.1855, 480, 21",
        "22.371, 480, 40",
        "3.7285, 208, 16.7",
        "3.7285, 575, 6.1"
    })
    void isThatOfTheTable(double kilowatts, double volts, double amperes) {
        assertThat(RatedCurrent.of(JobTables.SHIPPED, kilowatts, volts)).isCloseTo(amperes, within(0.02 * amperes));
    }

    @Test
    void growsWithPowerAndFallsWithVoltage() {
        for (double volts : new double[] {230, 400, 480, 575, 690}) {
            double before = 0;
            for (double kilowatts = 0.05; kilowatts < 500; kilowatts *= 1.07) {
                double amperes = RatedCurrent.of(JobTables.SHIPPED, kilowatts, volts);
                assertThat(amperes).isGreaterThan(before);
                before = amperes;
            }
        }
        assertThat(RatedCurrent.of(JobTables.SHIPPED, 5, 690)).isLessThan(RatedCurrent.of(JobTables.SHIPPED, 5, 400));
        assertThat(RatedCurrent.of(JobTables.SHIPPED, 5, 575)).isLessThan(RatedCurrent.of(JobTables.SHIPPED, 5, 480));
    }
}
