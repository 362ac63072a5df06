package parable.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Fieldwork;
import parable.circuit.Position;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.starters.Library;

class PanelLayoutTest {

    private static final double NOTHING = 1e-9;

    static Stream<Sheet> sheets() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream());
    }

    private static Sheet strip(String name) {
        return Examples.ofLibrary(name).withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP));
    }

    private static Sheet with(Sheet sheet, Device changed) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(changed.tag()) ? changed : device)
                .toList());
    }

    private static boolean overlap(Footprint one, Footprint other) {
        return one.x() < other.right() - NOTHING
                && other.x() < one.right() - NOTHING
                && one.y() < other.bottom() - NOTHING
                && other.y() < one.bottom() - NOTHING;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void noDeviceIsOnAnother(Sheet sheet) {
        PanelLayout layout =
                PanelLayout.of(Examples.fitted(sheet.withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP))));
        for (String place : layout.places()) {
            List<String> tags = new ArrayList<>(layout.in(place).keySet());
            for (int i = 0; i < tags.size(); i++) {
                for (int j = 0; j < i; j++) {
                    assertThat(overlap(
                                    layout.in(place).get(tags.get(i)),
                                    layout.in(place).get(tags.get(j))))
                            .as("%s on %s in the %s", tags.get(i), tags.get(j), place)
                            .isFalse();
                }
            }
        }
    }

    /** EN 50005: odd numbers above, even ones below; a supply has all of its terminals below. */
    @ParameterizedTest
    @MethodSource("sheets")
    void aTerminalIsOnTheEdgeWhereItsMarkingIsLookedFor(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        for (Part part : assembly.parts()) {
            Footprint room = layout.in(layout.place(part.tag())).get(part.tag());
            assertThat(layout.terminalsOf(part.tag()))
                    .extracting(Terminal::marking)
                    .containsExactlyInAnyOrderElementsOf(part.terminals());
            for (Terminal terminal : layout.terminalsOf(part.tag())) {
                boolean even = terminal.marking().matches(".*[02468]");
                boolean below = part.family() == Family.SUPPLY || even;
                assertThat(layout.y(terminal)).as(terminal.toString()).isEqualTo(below ? room.bottom() : room.y());
                assertThat(layout.x(terminal)).as(terminal.toString()).isBetween(room.x(), room.right());
            }
        }
    }

    /** Rows of a back plate from the top down: what feeds, what switches motors, what controls. */
    @Test
    void whatFeedsIsAboveWhatSwitchesAndThatAboveWhatControls() {
        PanelLayout layout = PanelLayout.of(Examples.fitted(Examples.ofLibrary("Mill")));
        var plate = layout.in("panel");

        assertThat(plate.get("Q1").bottom()).isLessThan(plate.get("KM").y());
        assertThat(plate.get("KM").y()).isEqualTo(plate.get("KY").y());
        assertThat(plate.get("KM").bottom()).isLessThan(plate.get("KT").y());
        assertThat(plate.get("F1").y()).isEqualTo(plate.get("Q1").y());
    }

    @Test
    void theStripIsBelowEverythingAndOnlyWhereOneIsWanted() {
        PanelLayout layout = PanelLayout.of(Examples.fitted(strip("Wash pump")));
        var plate = layout.in("panel");
        Footprint strip = plate.get("X1");

        assertThat(plate.entrySet())
                .filteredOn(entry -> !entry.getKey().equals("X1"))
                .allMatch(entry -> entry.getValue().bottom() < strip.y());
        assertThat(layout.terminalsOf("X1"))
                .hasSameSizeAs(layout.strip())
                .isSortedAccordingTo((one, other) -> Double.compare(layout.x(one), layout.x(other)));
        Sheet direct = Examples.ofLibrary("Wash pump").withFieldwork(Fieldwork.NONE.by(WiringMethod.POINT_TO_POINT));
        assertThat(PanelLayout.of(Examples.fitted(direct)).strip()).isEmpty();
    }

    @Test
    void aDeviceIsWhereSomebodyHasPutIt() {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Device k1 = pump.device("K1").orElseThrow();
        PanelLayout before = PanelLayout.of(Examples.fitted(pump));
        PanelLayout after = PanelLayout.of(Examples.fitted(with(pump, k1.standing(new Position(400, 250)))));

        Footprint room = after.in("panel").get("K1");
        assertThat(room.x()).isEqualTo(400);
        assertThat(room.y()).isEqualTo(250);
        Terminal coil = new Terminal("K1", "A1");
        assertThat(after.x(coil) - 400)
                .isCloseTo(before.x(coil) - before.in("panel").get("K1").x(), within(NOTHING));
        assertThat(after.y(coil)).isEqualTo(250);
    }

    @ParameterizedTest
    @CsvSource({"30, 20, 30, 20", "-5000, 10, 0, 10", "10, -5000, 10, 0", "0.4, 0.6, 0, 1"})
    void nothingIsMovedBeyondTheEdgeOfItsPlace(double right, double down, int x, int y) {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Device first = pump.device("Q1").orElseThrow().standing(new Position(0, 0));
        PanelLayout layout = PanelLayout.of(Examples.fitted(with(pump, first)));

        assertThat(layout.moved("Q1", right, down)).isEqualTo(new Position(x, y));
    }

    @Test
    void whatTheSheetDoesNotHaveHasNoSpot() {
        PanelLayout layout = PanelLayout.of(Examples.fitted(Examples.ofLibrary("Wash pump")));

        assertThatThrownBy(() -> layout.moved("K9", 1, 1)).isInstanceOf(NoSuchElementException.class);
        assertThatThrownBy(() -> layout.x(new Terminal("K1", "99"))).isInstanceOf(NoSuchElementException.class);
        assertThat(layout.place("K9")).isEqualTo("panel");
        assertThat(layout.terminalsOf("K9")).isEmpty();
    }

    /** Square ways in a place; over the hinge a metre more than to both corners, to the machine six. */
    @Test
    void aWireIsAsLongAsItsDucts() {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet put = with(pump, pump.device("K1").orElseThrow().standing(new Position(0, 300)));
        put = with(put, pump.device("Q1").orElseThrow().standing(new Position(0, 0)));
        PanelLayout layout = PanelLayout.of(Examples.fitted(put));
        Terminal q1 = new Terminal("Q1", "2");
        Terminal k1 = new Terminal("K1", "1");
        double square = Math.abs(layout.x(q1) - layout.x(k1)) + Math.abs(layout.y(q1) - layout.y(k1));

        assertThat(layout.metres(q1, k1)).isCloseTo(0.1 + square / 1000, within(NOTHING));
        assertThat(layout.route(q1, k1)).isEqualTo("in the panel");
        Terminal lamp = new Terminal("P1", "X1");
        Terminal motor = new Terminal("M1", "U1");
        assertThat(layout.metres(k1, lamp)).isCloseTo(1.1 + corner(layout, k1) + corner(layout, lamp), within(NOTHING));
        assertThat(layout.route(k1, lamp)).isEqualTo("over the hinge");
        assertThat(layout.metres(k1, motor))
                .isCloseTo(6.1 + corner(layout, k1) + corner(layout, motor), within(NOTHING));
        assertThat(layout.metres(lamp, motor))
                .isCloseTo(7.1 + corner(layout, lamp) + corner(layout, motor), within(NOTHING));
    }

    private static double corner(PanelLayout layout, Terminal terminal) {
        return (layout.x(terminal) + layout.y(terminal)) / 1000;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void thereAndBackIsTheSameWay(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        List<Terminal> ends = assembly.parts().stream()
                .flatMap(part -> layout.terminalsOf(part.tag()).stream().limit(2))
                .toList();
        for (Terminal one : ends) {
            for (Terminal other : ends) {
                assertThat(layout.metres(one, other)).isCloseTo(layout.metres(other, one), within(NOTHING));
                assertThat(layout.crosses(one, other))
                        .isEqualTo(!layout.route(one, other).startsWith("in the "));
            }
        }
    }

    @Test
    void aCableBetweenTwoPlacesOfTheFieldIsNamedByBoth() {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet apart = with(pump, pump.device("M1").orElseThrow().placed("yard"));
        apart = with(apart, pump.device("S1").orElseThrow().placed("loft"));
        PanelLayout layout = PanelLayout.of(Examples.fitted(apart));

        assertThat(layout.route(new Terminal("M1", "U1"), new Terminal("S1", "13")))
                .isEqualTo("cable yard to loft");
        assertThat(layout.route(new Terminal("M1", "U1"), new Terminal("K1", "2")))
                .isEqualTo("cable to yard");
    }
}
