package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which contacts a device has closed in which position, and how long they take, as the trade has it. */
class PositionsTest {

    private static Part part(String kind, String settings) throws PartException {
        return Devices.fitted(kind, settings).parts().get(0);
    }

    private static String closed(Part part, int position) {
        List<String> closed = new ArrayList<>();
        part.contacts().stream()
                .filter(contact -> !contact.isThroughPath() && contact.closedAt(position))
                .map(Contact::marking)
                .forEach(closed::add);
        return String.join(" ", closed);
    }

    /** Position 0 is at rest, as it is drawn. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "contactor | aux: 13-14 21-22 53-54 61-62 | 0 | 21-22 61-62",
                "contactor | aux: 13-14 21-22 53-54 61-62 | 1 | 1-2 3-4 5-6 13-14 53-54",
                "overload-relay | | 0 | 95-96",
                "overload-relay | | 1 | 97-98",
                "circuit-breaker | aux: 13-14 21-22 | 0 | 21-22",
                "circuit-breaker | aux: 13-14 21-22 | 1 | 1-2 3-4 5-6 13-14",
                "control-relay | changeovers: 1 | 0 | 11-12",
                "control-relay | changeovers: 1 | 1 | 11-14",
                "control-relay | base: 8-pin | 0 | 1-4 8-5",
                "control-relay | base: 8-pin | 1 | 1-3 8-6",
                "control-relay | base: 11-pin | 0 | 1-4 6-5 11-8",
                "control-relay | base: 11-pin | 1 | 1-3 6-7 11-9",
                "control-relay | base: 14-blade | 0 | 9-1 10-2 11-3 12-4",
                "control-relay | base: 14-blade | 1 | 9-5 10-6 11-7 12-8",
                "timer | | 0 | 15-16",
                "timer | | 1 | 15-18",
                "push-button | blocks: 11-12 23-24 | 0 | 11-12",
                "push-button | blocks: 11-12 23-24 | 1 | 23-24",
                "emergency-stop | blocks: 11-12 23-24 | 0 | 11-12",
                "emergency-stop | blocks: 11-12 23-24 | 1 | 23-24",
                "limit-switch | | 0 | 11-12",
                "limit-switch | | 1 | 13-14",
                "selector | positions: off jog run; blocks: 13-14=jog 23-24=run | 0 | ''",
                "selector | positions: off jog run; blocks: 13-14=jog 23-24=run | 1 | 13-14",
                "selector | positions: off jog run; blocks: 13-14=jog 23-24=run | 2 | 23-24"
            })
    void contactsStandAsTheirMarkingsSay(String kind, String settings, int position, String closed)
            throws PartException {
        assertThat(closed(part(kind, settings), position)).isEqualTo(closed == null ? "" : closed);
    }

    /** The second digit of a marking tells the kind: 1-2 opens, 3-4 closes; 5-6 and 7-8 do so later (EN 50005). */
    @ParameterizedTest
    @CsvSource({"contactor, aux", "push-button, blocks", "emergency-stop, blocks"})
    void theSecondDigitTellsTheKind(String kind, String setting) throws PartException {
        for (Contact contact : part(kind, setting + ": 11-12 23-24 31-32 43-44").contacts()) {
            String marking = contact.marking();
            if (marking.matches("\\d\\d-\\d\\d")) {
                assertThat(contact.isNormallyClosed()).as(marking).isEqualTo(marking.charAt(1) == '1');
            }
        }
    }

    /** In milliseconds: a closed contact opens, an open one closes; back again. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "contactor | | 8 15 8 14",
                "control-relay | | 5 10 3 8",
                "push-button | blocks: 11-12 23-24 | 0 5 0 5"
            })
    void armaturesAndButtonsTakeTheirTimes(String kind, String settings, String nominal) throws PartException {
        Travel travel = part(kind, settings).travel();
        List<TimeRange> times = List.of(travel.breakAway(), travel.makeAway(), travel.breakBack(), travel.makeBack());

        assertThat(times.stream().map(time -> String.valueOf(time.nominal() / 1000)))
                .containsExactly(nominal.split(" "));
        assertThat(times).allMatch(time -> time.shortest() <= time.nominal() && time.nominal() <= time.longest());
    }

    /** What breaks goes before what makes, in the worst case too: otherwise a changeover would bridge its two sides. */
    @ParameterizedTest
    @CsvSource({"contactor", "control-relay", "timer", "push-button", "overload-relay", "limit-switch"})
    void whatBreaksGoesFirst(String kind) throws PartException {
        Travel travel = part(kind, null).travel();

        assertThat(travel.breakAway().nominal())
                .isLessThanOrEqualTo(travel.makeAway().nominal());
        assertThat(travel.breakBack().nominal())
                .isLessThanOrEqualTo(travel.makeBack().nominal());
        assertThat(travel.breakAway().shortest())
                .isLessThanOrEqualTo(travel.makeAway().shortest());
        assertThat(travel.breakBack().shortest())
                .isLessThanOrEqualTo(travel.makeBack().shortest());
    }

    /** A timer keeps its setting within two parts in a hundred. */
    @ParameterizedTest
    @CsvSource({"on-delay, 5 s, 5000", "off-delay, 0.3 s, 300", "interval, 120 s, 120000"})
    void aTimerKeepsItsSettingWithinItsTolerance(String function, String setting, long millis) throws PartException {
        Optional<TimeRange> longest =
                part("timer", "function: " + function + "; setting: " + setting).drive() instanceof Drive.ByTimer timer
                        ? Stream.concat(timer.program().fed().stream(), timer.program().released().stream())
                                .map(TimerProgram.Stage::after)
                                .max(Comparator.comparingLong(TimeRange::nominal))
                        : Optional.empty();

        assertThat(longest).isPresent();
        assertThat(longest.get().nominal()).isEqualTo(millis * 1000);
        assertThat(longest.get().shortest()).isEqualTo(millis * 980);
        assertThat(longest.get().longest()).isEqualTo(millis * 1020);
    }
}
