package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.testsheet.Found;
import parable.testsheet.Observation;

/** Readings that would be taken for each other are one outcome, whichever of them was met first: a look is not to promise what no reading can tell. */
class OutcomesTest {

    private static final Found AT_REST = new Found("13052 \u03a9", Optional.of(13_052.0));
    private static final Found HARDLY = new Found("above 10 k\u03a9, or open", Optional.of(200_000.0));
    private static final Found OPEN = new Found("open", Optional.of(Double.POSITIVE_INFINITY));
    private static final Found COIL = new Found("566 \u03a9", Optional.of(566.0));
    private static final Found JOINED = new Found("0 \u03a9", Optional.of(0.0));

    private static Found of(String name) {
        return switch (name) {
            case "at rest" -> AT_REST;
            case "hardly" -> HARDLY;
            case "open" -> OPEN;
            case "coil" -> COIL;
            default -> JOINED;
        };
    }

    @ParameterizedTest
    @CsvSource({
        "at rest, hardly, true",
        "hardly, open, true",
        "at rest, open, false",
        "at rest, coil, false",
        "coil, joined, false",
        "joined, open, false"
    })
    void whatOneMayTakeForTheOtherIsOneOutcome(String one, String other, boolean same) {
        for (List<Found> order : List.of(List.of(of(one), of(other)), List.of(of(other), of(one)))) {
            Outcomes outcomes = new Outcomes(new Observation.Ohms("K1:A1", "K1:A2"));

            assertThat(Stream.of(order.get(0), order.get(1)).map(outcomes::of).distinct())
                    .as("%s", order)
                    .hasSize(same ? 1 : 2);
        }
    }
}
