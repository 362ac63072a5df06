package parable.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What is put into the lines of a power circuit: {@code G1[L1] @L1 Q1[1-2] @1L1 K1[1-2] @2L1 F2[1-2] @U M1[U1]}, and two more. */
class PowerLinesTest {

    private static Sheet sheet(String name) {
        return Library.jobs().get(0).sheet(name).orElseThrow();
    }

    private static DeskPreview typed(Sheet sheet, Place at, DeskStroke stroke, String text) throws Exception {
        return new DeskLine(
                        Assembly.of(sheet),
                        Conventions.of(Practice.IEC),
                        "230 V AC",
                        Stretch.at(sheet, at),
                        stroke,
                        text)
                .preview();
    }

    private static List<String> changed(Sheet before, Sheet after) {
        return after.power().stream()
                .filter(rung -> !before.power().contains(rung))
                .map(Rung::text)
                .toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    2 | BEFORE   | Q9:isolator       | G1[L%1$d] @L%1$d Q9[%2$s] @3L%1$d Q1[%2$s] @1L%1$d K1[%2$s] @2L%1$d F2[%2$s] @%3$s M1[%3$s1]
                    2 | AFTER    | K9                | G1[L%1$d] @L%1$d Q1[%2$s] @3L%1$d K9[%2$s] @1L%1$d K1[%2$s] @2L%1$d F2[%2$s] @%3$s M1[%3$s1]
                    6 | AFTER    | K9                | G1[L%1$d] @L%1$d Q1[%2$s] @1L%1$d K1[%2$s] @2L%1$d F2[%2$s] @3L%1$d K9[%2$s] @%3$s M1[%3$s1]
                    6 | EXCHANGE | F9:overload-relay | G1[L%1$d] @L%1$d Q1[%2$s] @1L%1$d K1[%2$s] @2L%1$d F9[%2$s] @%3$s M1[%3$s1]
                    4 | AROUND   | K9                | @1L%1$d K9[%2$s] @2L%1$d
                    """)
    void aDeviceGoesIntoAllLinesAtOnce(int item, DeskStroke stroke, String text, String expected) throws Exception {
        Sheet pump = sheet("Wash pump");
        for (int line = 0; line < 3; line++) {
            Sheet after = typed(pump, new Place(Circuit.POWER, line, item), stroke, text)
                    .sheet()
                    .orElseThrow();

            assertThat(changed(pump, after))
                    .containsExactly(
                            String.format(expected, 1, "1-2", "U"),
                            String.format(expected, 2, "3-4", "V"),
                            String.format(expected, 3, "5-6", "W"));
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    0 | 4 | AFTER | K1                | K1: found 0 free poles, expected 3, for it goes into as many lines at once
                    0 | 4 | AFTER | S2                | S2: found 0 free poles, expected 3, for it goes into as many lines at once
                    0 | 4 | AFTER | X9                | X9: found a tag that the sheet does not list
                    8 | 2 | AFTER | F9:overload-relay | F9: found 1 lines, expected three: with a pole that carries nothing it would trip
                    8 | 2 | AFTER | M9                | M9: found 1 lines, expected three, for a three-phase motor
                    0 | 4 | AROUND | M9               | M9: found a motor, expected a three-phase motor before or behind
                    0 | 4 | AFTER | M9:dc-motor       | M9: found dc-motor, expected a three-phase motor before or behind
                    """)
    void whatDoesNotFitSaysWhy(int rung, int item, DeskStroke stroke, String text, String reason) throws Exception {
        DeskPreview preview = typed(sheet("Wash pump"), new Place(Circuit.POWER, rung, item), stroke, text);

        assertThat(preview.sheet()).isEmpty();
        assertThat(preview.words()).startsWith(reason);
    }

    @Test
    void aSingleLineGetsOnePoleInItsDirection() throws Exception {
        Sheet pump = sheet("Wash pump");

        Sheet after = typed(pump, new Place(Circuit.POWER, 8, 6), DeskStroke.BEFORE, "Q9:circuit-breaker")
                .sheet()
                .orElseThrow();

        assertThat(changed(pump, after)).singleElement().asString().contains("T1[H1-H4] @H4 Q9[2-1] @10 F3[2-1] @1L2");
        assertThat(after.device("Q9").orElseThrow().setting("poles")).contains("1");
    }

    @Test
    void threeLinesGetAFuseEach() throws Exception {
        Sheet after = typed(sheet("Wash pump"), new Place(Circuit.POWER, 1, 2), DeskStroke.AFTER, "F9:fuse")
                .sheet()
                .orElseThrow();

        assertThat(after.power().subList(0, 3))
                .extracting(Rung::text)
                .satisfiesExactly(
                        one -> assertThat(one).contains("Q1[1-2] @3L1 F9[1-2] @1L1"),
                        two -> assertThat(two).contains("Q1[3-4] @3L2 F1[1-2] @1L2".replace("F1", fuse(after, 1))),
                        three -> assertThat(three).contains("@3L3 " + fuse(after, 2) + "[1-2] @1L3"));
    }

    private static String fuse(Sheet sheet, int line) {
        return sheet.power().get(line).items().stream()
                .filter(item -> item.text().endsWith("[1-2]"))
                .map(item -> item.text().substring(0, item.text().indexOf('[')))
                .filter(tag -> sheet.device(tag).orElseThrow().kind().equals("fuse"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatIsTakenAwayLeavesAllLinesAndTheMotorRunsWithoutIt() throws Exception {
        Sheet pump = sheet("Wash pump");
        Sheet after = DeskEdit.taken(
                        pump, Stretch.at(pump, new Place(Circuit.POWER, 1, 4)).orElseThrow())
                .sheet();
        assertThat(after.power().stream().filter(rung -> rung.text().contains("K1[")))
                .isEmpty();

        Bench bench = Bench.of(Assembly.of(after));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(2_000_000);

        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.FORWARD);
    }

    @Test
    void aContactorInAllLinesKeepsTheMotorStillUntilItIsIn() throws Exception {
        Sheet pump = sheet("Wash pump");
        Sheet after = typed(pump, new Place(Circuit.POWER, 0, 4), DeskStroke.BEFORE, "K9")
                .sheet()
                .orElseThrow();

        Bench bench = Bench.of(Assembly.of(after));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(2_000_000);

        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(bench.moment().condition("M1")).isEqualTo(Condition.STOPPED);
    }

    /** With its coil between the rails it runs as soon as the breakers are closed, and the first motor does not. */
    @ParameterizedTest
    @CsvSource({
        "Wash pump, 2, AFTER, M2, Q1, M1",
        "Wash pump, 2, BEFORE, M2, Q1, M1",
        "Mill, 2, AFTER, M2, Q1, M1",
        "Press platen, 4, BEFORE, M2, Q1, M1",
        "Fan, 2, AFTER, MTR2, CB1, MTR1"
    })
    void aFurtherMotorRunsBesideTheFirst(
            String name, int item, DeskStroke stroke, String motor, String breaker, String first) throws Exception {
        Sheet before = Examples.ofLibrary(name);
        Conventions conventions = Conventions.of(motor.equals("M2") ? Practice.IEC : Practice.NORTH_AMERICAN);
        Assembly fitted = Assembly.of(before);
        Sheet with = new DeskLine(
                        fitted,
                        conventions,
                        CoilVoltage.of(fitted, conventions.practice()),
                        Stretch.at(before, new Place(Circuit.POWER, 0, item)),
                        stroke,
                        motor)
                .preview()
                .sheet()
                .orElseThrow();
        List<String> added = with.devices().stream()
                .map(Device::tag)
                .filter(tag -> before.device(tag).isEmpty())
                .toList();
        String rails = with.rails().get(0).name() + " (" + added.get(1) + ") "
                + with.rails().get(1).name();
        Sheet coiled = new DeskLine(
                        Assembly.of(with), conventions, "none", Optional.empty(), DeskStroke.NEW_RUNG, rails)
                .preview()
                .sheet()
                .orElseThrow();

        Bench bench = Bench.of(Assembly.of(coiled));
        bench.act(new Action(Verb.CLOSE, breaker));
        bench.act(new Action(Verb.CLOSE, added.get(0)));
        bench.runUntil(2_000_000);

        assertThat(bench.moment().condition(motor)).isEqualTo(Condition.FORWARD);
        assertThat(bench.moment().condition(first)).isEqualTo(Condition.STOPPED);
        assertThat(with.power().get(with.power().size() - 1).text()).isEqualTo("@PE " + motor + "[PE]");
    }

    /** A stretch of the second line of the pump, from the contactor's pole to the overload's. */
    private static final Stretch TWO = new Stretch(new Place(Circuit.POWER, 1, 6), 4);

    @Test
    void aStretchIsLedAroundAndTakenAwayInAllLines() throws Exception {
        Sheet pump = sheet("Wash pump");
        Sheet around = new DeskLine(
                        Assembly.of(pump),
                        Conventions.of(Practice.IEC),
                        "230 V AC",
                        Optional.of(TWO),
                        DeskStroke.AROUND,
                        "K9")
                .preview()
                .sheet()
                .orElseThrow();

        assertThat(changed(pump, around)).containsExactly("@1L1 K9[1-2] @U", "@1L2 K9[3-4] @V", "@1L3 K9[5-6] @W");
        assertThat(DeskEdit.taken(pump, TWO).sheet().power().subList(0, 3))
                .extracting(Rung::text)
                .containsExactly(
                        "G1[L1] @L1 Q1[1-2] @1L1 M1[U1]",
                        "G1[L2] @L2 Q1[3-4] @1L2 M1[V1]",
                        "G1[L3] @L3 Q1[5-6] @1L3 M1[W1]");
    }

    @Test
    void aDeviceChangesPlacesInAllLinesOrInNone() throws Exception {
        Sheet pump = sheet("Wash pump");
        Stretch contactor = new Stretch(new Place(Circuit.POWER, 2, 4), 4);
        Sheet moved = DeskEdit.deviceMoved(pump, contactor, 1).sheet();
        Sheet uneven = Structure.exchanged(pump, new Place(Circuit.POWER, 1, 6), new RungItem.Passage("F1", "1", "2"));

        assertThat(changed(pump, moved)).allSatisfy(rung -> assertThat(rung).containsPattern("F2\\[.*\\] @2L. K1\\["));
        assertThat(changed(pump, moved)).hasSize(3);
        assertThatThrownBy(() -> DeskEdit.deviceMoved(uneven, contactor, 1))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("the same device in all lines");
    }

    /** In the winding of a star-delta motor flows less than its nameplate says: the dial is not set to that. */
    @ParameterizedTest
    @CsvSource({"Wash pump, 4.9 A", "Mill, none"})
    void theDialIsSetWhereTheLineEndsOnTheMotor(String name, String expected) throws Exception {
        Sheet after = typed(sheet(name), new Place(Circuit.POWER, 0, 6), DeskStroke.EXCHANGE, "F9:overload-relay")
                .sheet()
                .orElseThrow();

        assertThat(after.device("F9").orElseThrow().setting("setting").orElse("none"))
                .isEqualTo(expected);
    }
}
