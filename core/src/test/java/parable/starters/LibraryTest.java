package parable.starters;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.Share;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.check.Check;
import parable.check.Finding;
import parable.check.Severity;
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.files.JobFile;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.proof.Claim;
import parable.proof.Proof;

class LibraryTest {

    static Stream<Job> jobs() {
        return Library.jobs().stream();
    }

    @ParameterizedTest
    @MethodSource("jobs")
    void theExamplesThatShipAreWhatTheLibraryDraws(Job job) throws IOException {
        Path file = Examples.FOLDER.resolve(job.name().toLowerCase(Locale.ROOT).replace(' ', '-') + JobFile.ENDING);
        assertThat(JobFile.text(job)).isEqualTo(Files.readString(file));
    }

    /** Every combination of answers is either refused in words or a starter that starts and stops. */
    @ParameterizedTest
    @MethodSource("wishes")
    void whateverIsWishedForStartsAndStops(Wish wish) throws ActionRefusedException {
        if (wish.conflict().isPresent()) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> Starter.of(wish))
                    .withMessage(wish.conflict().get());
            return;
        }
        Starter starter = Starter.of(wish);
        Bench bench = Bench.of(Examples.fitted(starter.sheet()));
        boolean iec = wish.practice() == Practice.IEC;
        String motor = iec ? "M1" : "MTR1";
        bench.act(new Action(Verb.CLOSE, iec ? "Q1" : "CB1"));
        bench.runUntil(6_000_000);
        assertThat(bench.moment().condition(motor)).isEqualTo(Condition.STOPPED);
        boolean maintained = wish.has(Starting.START_STOP);
        String mode = iec ? "S5" : "SS1";
        String start = iec ? "S1" : "PB2";
        String stop = iec ? "S0" : "PB1";
        bench.act(
                maintained
                        ? new Action(Verb.PRESS, start)
                        : new Action(Verb.TURN, mode, wish.has(Starting.TWO_WIRE) ? "on" : "hand"));
        bench.runUntil(6_300_000);
        if (maintained) {
            bench.act(new Action(Verb.RELEASE, start));
        }
        bench.runUntil(20_000_000);
        assertThat(bench.moment().condition(motor))
                .as(wish.choices().toString())
                .isEqualTo(Condition.FORWARD);
        assertThat(bench.moment().shorted()).isFalse();
        bench.act(maintained ? new Action(Verb.PRESS, stop) : new Action(Verb.TURN, mode, "off"));
        bench.runUntil(20_300_000);
        assertThat(bench.moment().condition(motor)).isIn(Condition.COASTING, Condition.BRAKED, Condition.STOPPED);
        assertThat(starter.reasons()).hasSizeGreaterThanOrEqualTo(Question.all().size());
    }

    /** Resistor, its heat and the fuses of a brake follow the motor: the rules find nothing to say from 0.37 to 75 kW. */
    @ParameterizedTest
    @ValueSource(strings = {"0.37 kW", "1.5 kW", "5.5 kW", "15 kW", "37 kW", "75 kW"})
    void aBrakeIsMadeForItsMotor(String power) {
        MotorData motor = MotorData.on400V("Saw", "yard", power).driving("mill", "10 %", "3 s");
        for (Braking braking : List.of(Braking.UNTIL_STANDSTILL, Braking.TIMED)) {
            Wish wish = Wish.of("Saw", Practice.IEC, motor).with(braking).showing(Lamp.RUNNING);

            assertThat(Check.of(
                            Examples.fitted(Starter.of(wish).sheet()),
                            wish.conventions().colours()))
                    .filteredOn(finding -> finding.severity() != Severity.NOTE)
                    .isEmpty();
        }
    }

    /** 277 V is too much for a control circuit there; 120 V of a supply of 208 V is not, and by IEC practice 230 V is not. */
    @ParameterizedTest
    @CsvSource({
        "NORTH_AMERICAN, 480 V AC, LINE_TO_NEUTRAL, true",
        "NORTH_AMERICAN, 480 V AC, DC_24_WITH_RELAY, true",
        "NORTH_AMERICAN, 480 V AC, DC_24, false",
        "NORTH_AMERICAN, 480 V AC, TRANSFORMER, false",
        "NORTH_AMERICAN, 208 V AC, LINE_TO_NEUTRAL, false",
        "IEC, 400 V AC, LINE_TO_NEUTRAL, false",
        "IEC, 480 V AC, LINE_TO_NEUTRAL, false",
        "IEC, 690 V AC, LINE_TO_NEUTRAL, true"
    })
    void noCoilBetweenLineAndNeutralBeyondWhatThePracticeAllows(
            Practice practice, String voltage, ControlSupply supply, boolean refused) {
        MotorData motor = new MotorData("Pump", "cellar", voltage, "60 Hz", "2.2 kW", "5 A", "16 A", "pump", "", "");

        assertThat(Wish.of("Pump", practice, motor).with(supply).conflict().isPresent())
                .isEqualTo(refused);
    }

    /** What goes together of the special things: jogging both ways, and a warning before star-delta. */
    static Stream<Wish> together() {
        MotorData motor = MotorData.on400V("Drying fan", "loft", "18.5 kW").driving("fan", "40 %", "4 s");
        Wish plain =
                Wish.of("Together", Practice.IEC, motor).with(EmergencyStop.ONE).showing(Lamp.RUNNING);
        return Share.oneIn(
                3,
                Stream.concat(
                        Stream.of(Directions.STOP_FIRST, Directions.BUTTON_INTERLOCK)
                                .map(both -> plain.with(both).with(Jogging.SELECTOR)),
                        Stream.of(Running.STAR_DELTA_BY_STAR, Running.STAR_DELTA_DIRECT, Running.STAR_DELTA_DEAD_TIME)
                                .map(star -> plain.with(star).with(Warning.FROM_START))));
    }

    @ParameterizedTest
    @MethodSource("together")
    void whatIsDrawnTogetherIsSound(Wish wish) {
        Assembly assembly = Examples.fitted(Starter.of(wish).sheet());

        assertThat(Check.of(assembly, wish.conventions().colours()))
                .filteredOn(finding -> finding.severity() != Severity.NOTE)
                .isEmpty();
        Proof proof = Proof.of(assembly, Proof.Timing.WITHIN_TIMES, states -> false);
        assertThat(proof.claims())
                .allMatch(claim -> claim.verdict().holds(), "holds")
                .extracting(Claim::id)
                .anyMatch(id -> id.startsWith(wish.has(Warning.FROM_START) ? "warned:" : "jog:"));
    }

    /** Each pair of answers to two questions, in both practices, everything else as the practice has it. */
    static Stream<Wish> wishes() {
        MotorData motor = MotorData.on400V("Cellar pump", "cellar", "2.2 kW");
        List<Wish> wishes = new ArrayList<>();
        for (Practice practice : Practice.values()) {
            Wish plain = Wish.of("Cellar pump", practice, motor).showing(Lamp.RUNNING, Lamp.TRIPPED);
            for (Question first : Question.all()) {
                for (Question second : Question.all()) {
                    for (Choice one : first.answers()) {
                        second.answers().stream()
                                .filter(other -> other != one && second.words().compareTo(first.words()) > 0)
                                .forEach(other -> wishes.add(plain.with(one).with(other)));
                    }
                }
            }
        }
        return Share.oneIn(9, wishes.stream().distinct());
    }

    /** Each answer to each question with every lamp on the door, on every supply. */
    static Stream<Wish> lampBoards() {
        List<Wish> wishes = new ArrayList<>();
        for (Practice practice : Practice.values()) {
            for (Supply supply : Supply.in(practice)) {
                MotorData motor = MotorData.of("Cellar pump", "cellar", supply, "2.2 kW");
                Wish plain = Wish.of("Cellar pump", practice, motor)
                        .with(EmergencyStop.ONE)
                        .showing(Lamp.values());
                Question.all().stream()
                        .flatMap(question -> question.answers().stream())
                        .filter(answer -> answer != EmergencyStop.NONE)
                        .map(plain::with)
                        .filter(wish -> wish.conflict().isEmpty() && wish.has(Starting.START_STOP))
                        .forEach(wishes::add);
            }
        }
        return Share.oneIn(9, wishes.stream().distinct());
    }

    /** What a lamp says is true, and nothing on the sheet hangs on a voltage that it is not made for. */
    @ParameterizedTest
    @MethodSource("lampBoards")
    void everyLampSaysWhatIsSo(Wish wish) throws ActionRefusedException {
        Sheet sheet = Starter.of(wish).sheet();
        Assembly assembly = Examples.fitted(sheet);
        assertThat(grave(wish)).isSubsetOf(grave(wish.showing()));
        Bench bench = Bench.of(assembly);
        boolean iec = wish.practice() == Practice.IEC;
        bench.act(new Action(Verb.CLOSE, iec ? "Q1" : "CB1"));
        bench.runUntil(6_000_000);
        assertThat(lit(bench, sheet)).as(wish.choices().toString()).containsExactlyInAnyOrder("Stopped", "Control on");
        bench.act(new Action(Verb.PRESS, iec ? "S1" : "PB2"));
        bench.runUntil(6_300_000);
        bench.act(new Action(Verb.RELEASE, iec ? "S1" : "PB2"));
        bench.runUntil(20_000_000);
        assertThat(bench.moment().condition(iec ? "M1" : "MTR1"))
                .as(wish.choices().toString())
                .isEqualTo(Condition.FORWARD);
        boolean reverses = !wish.has(Directions.ONE);
        assertThat(lit(bench, sheet))
                .as(wish.choices().toString())
                .containsExactlyInAnyOrder(reverses ? "Forward" : "Running", "Control on");
        bench.act(new Action(Verb.HIT, iec ? "S4" : "ES"));
        bench.runUntil(30_000_000);
        assertThat(lit(bench, sheet))
                .contains("Stopped", "E-stop", "Control on")
                .doesNotContain("Running", "Forward");
    }

    /** What is dangerous or wrong on the sheet that is drawn for a wish, as some of the answers are by their nature. */
    private static List<String> grave(Wish wish) {
        return Check.reading(
                        Examples.fitted(Starter.of(wish).sheet()),
                        wish.conventions().colours())
                .stream()
                .filter(finding -> finding.severity().compareTo(Severity.ERROR) <= 0)
                .map(Finding::text)
                .peek(text -> assertThat(text).doesNotContain(" V "))
                .toList();
    }

    private static List<String> lit(Bench bench, Sheet sheet) {
        return sheet.devices().stream()
                .filter(device -> device.kind().equals("pilot-lamp"))
                .filter(device -> bench.moment().condition(device.tag()) == Condition.LIT)
                .map(Device::label)
                .toList();
    }

    @Test
    void aLampOfAnEStopThatIsNotThereIsRefused() {
        Wish wish = Wish.of("Cellar pump", Practice.IEC, MotorData.on400V("Pump", "cellar", "2.2 kW"))
                .showing(Lamp.EMERGENCY_STOP);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Starter.of(wish))
                .withMessage("A lamp for the E-stop belongs to a starter with an E-stop.");
    }

    @Test
    void aWishWithoutAStationIsRefused() {
        Wish wish = Wish.of("Cellar pump", Practice.IEC, MotorData.on400V("Pump", "cellar", "2.2 kW"));
        assertThatIllegalArgumentException().isThrownBy(wish::from).withMessageContaining("at least one station");
    }
}
