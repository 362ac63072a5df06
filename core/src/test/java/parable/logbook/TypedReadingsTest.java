package parable.logbook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;

class TypedReadingsTest {

    @Test
    void readingsAreTakenInTheirOrderAndWhatIsHalfIsLeftOut() {
        assertThat(TypedReadings.read("run-up = 4.2 s;current L1=6.1 A; note; =5; x= ;formula = a=b"))
                .containsExactly(
                        Map.entry("run-up", "4.2 s"), Map.entry("current L1", "6.1 A"), Map.entry("formula", "a=b"));
        assertThat(TypedReadings.read("")).isEmpty();
    }
}
