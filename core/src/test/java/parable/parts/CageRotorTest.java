package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The figures that data sheets give of cage motors of design N (IEC 60034-12). */
class CageRotorTest {

    @Test
    void breakdownIsTwoToThreeTimesRatedTorqueAtASlipOfATenthToAQuarter() {
        int at = IntStream.rangeClosed(1, 1000)
                .reduce((one, other) -> CageRotor.torque(other / 1000.0) > CageRotor.torque(one / 1000.0) ? other : one)
                .orElseThrow();

        assertThat(CageRotor.torque(at / 1000.0)).isBetween(2.2, 3.3);
        assertThat(at / 1000.0).isBetween(0.1, 0.25);
    }

    @Test
    void atStandstillItHasTwiceItsTorqueAndSevenTimesItsCurrent() {
        assertThat(CageRotor.torque(1)).isBetween(1.8, 2.2);
        assertThat(CageRotor.current(1)).isCloseTo(7, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void atRatedTorqueItHasRatedCurrentAndASlipOfAFewPerCent() {
        double slip = IntStream.rangeClosed(1, 2000)
                        .filter(one -> CageRotor.torque(one / 10_000.0) >= 1)
                        .findFirst()
                        .orElseThrow()
                / 10_000.0;

        assertThat(slip).isBetween(0.02, 0.05);
        assertThat(CageRotor.current(slip)).isCloseTo(1, within(0.03));
        assertThat(CageRotor.current(0)).as("running light").isBetween(0.3, 0.5);
    }
}
