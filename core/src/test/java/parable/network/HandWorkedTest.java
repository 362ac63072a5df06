package parable.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Terminal;
import parable.parts.Load;

/** Circuits whose voltages and currents are worked out by hand: dividers, star and delta, a bridge, several supplies. */
class HandWorkedTest {

    private static final String THREE_PHASES =
            "{\"tag\": \"G1\", \"kind\": \"three-phase-supply\", \"voltage\": \"400 V AC\"}";
    private static final String ONE_PHASE =
            "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\", \"voltage\": \"230 V AC\"}";
    private static final Offset<Double> TENTH = within(0.1);

    /** Line to neutral, and line to line. */
    private static final double LINE = 400 / Math.sqrt(3);

    private static final double BETWEEN = 400;

    private static String lamps(String... tags) {
        return String.join(
                ",",
                Arrays.stream(tags)
                        .map(tag ->
                                "{\"tag\": \"%s\", \"kind\": \"pilot-lamp\", \"lamp\": \"230 V AC\"}".formatted(tag))
                        .toList());
    }

    private static Network network(String devices, String power, String rungs) {
        return Network.of(Examples.fitted(Examples.sheet(devices, power, rungs)));
    }

    private static BitSet all(int size) {
        BitSet set = new BitSet();
        set.set(0, size);
        return set;
    }

    private static Solution live(Network network, Integer... closed) {
        BitSet contacts = new BitSet();
        Set.of(closed).forEach(contacts::set);
        return network.solve(contacts, all(network.sourceCount()));
    }

    private static int load(Network network, String tag) {
        int part = network.assembly().indexOf(tag).orElseThrow();
        return network.load(part, 0);
    }

    private static double volts(Solution solution, String tag) {
        return solution.loadVoltage(load(solution.network(), tag)).alternating();
    }

    private static int node(Network network, String tag, String marking) {
        return network.node(new Terminal(tag, marking)).orElseThrow();
    }

    private static Load plate(Network network, String tag) {
        return network.assembly().part(tag).orElseThrow().loads().get(0);
    }

    /** A lamp before a coil: the phasors add, and each gets its share of the whole impedance. */
    @Test
    void aLampAndACoilInSeriesShareByTheirImpedances() {
        Network network = network(
                ONE_PHASE + "," + lamps("P1") + ", {\"tag\": \"K1\", \"kind\": \"contactor\", \"coil\": \"230 V AC\"}",
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L P1[X1-X2] @3 K1[A1-A2] N\"");
        Load lamp = plate(network, "P1");
        Load coil = plate(network, "K1");
        double whole = Math.hypot(lamp.ohms() + coil.ohms(), coil.reactance());

        Solution solution = live(network);

        assertThat(coil.reactance()).isGreaterThan(coil.ohms());
        assertThat(volts(solution, "P1")).isCloseTo(230 * lamp.ohms() / whole, TENTH);
        assertThat(volts(solution, "K1")).isCloseTo(230 * Math.hypot(coil.ohms(), coil.reactance()) / whole, TENTH);
        assertThat(solution.loadCurrent(load(network, "K1")).rms()).isCloseTo(230 / whole, within(1e-4));
    }

    @Test
    void twoInParallelBehindOneGetAThirdAndItTwoThirds() {
        Network network = network(
                ONE_PHASE + "," + lamps("P1", "P2", "P3"),
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L P1[X1-X2] @3 P2[X1-X2] N\", \"@3 P3[X1-X2] N\"");

        Solution solution = live(network);

        assertThat(volts(solution, "P1")).isCloseTo(230 * 2 / 3.0, TENTH);
        assertThat(volts(solution, "P2")).isCloseTo(230 / 3.0, TENTH);
        assertThat(volts(solution, "P3")).isCloseTo(230 / 3.0, TENTH);
    }

    /** Equal lamps in star need no neutral; without one line the other two are in series between lines. */
    @Test
    void aStarOfEqualLampsAndTheSameWithOneLineOff() {
        Network network = network(
                THREE_PHASES + "," + lamps("P1", "P2", "P3")
                        + ", {\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}",
                "\"G1[L1] @11\", \"G1[L2] @12\", \"G1[L3] @13\"",
                "\"@11 P1[X1-X2] @9\", \"@12 P2[X1-X2] @9\", \"@13 S1[13-14] @14 P3[X1-X2] @9\"");

        Solution whole = live(network, 0);
        for (String lamp : List.of("P1", "P2", "P3")) {
            assertThat(volts(whole, lamp)).as(lamp).isCloseTo(LINE, TENTH);
        }
        assertThat(whole.potential(network.node("9").orElseThrow()).rms()).isCloseTo(0, TENTH);

        Solution broken = live(network);
        assertThat(volts(broken, "P1")).isCloseTo(BETWEEN / 2, TENTH);
        assertThat(volts(broken, "P2")).isCloseTo(BETWEEN / 2, TENTH);
        assertThat(volts(broken, "P3")).isCloseTo(0, TENTH);
        assertThat(broken.potential(network.node("9").orElseThrow()).rms())
                .as("the star point moves by half a line")
                .isCloseTo(LINE / 2, TENTH);
        assertThat(broken.state(network.node("14").orElseThrow())).isEqualTo(NodeState.LIVE_THROUGH_LOAD);
    }

    /** Millman: two lamps beside each other in one leg pull the star point towards that line. */
    @Test
    void anUnequalStarFollowsMillman() {
        Network network = network(
                THREE_PHASES + "," + lamps("P1", "P2", "P3", "P4"),
                "\"G1[L1] @11\", \"G1[L2] @12\", \"G1[L3] @13\"",
                "\"@11 P1[X1-X2] @9\", \"@11 P4[X1-X2] @9\", \"@12 P2[X1-X2] @9\", \"@13 P3[X1-X2] @9\"");

        Solution solution = live(network);

        // (2 U1 + U2 + U3) / 4 with U1 + U2 + U3 = 0 is a quarter of U1.
        assertThat(solution.potential(network.node("9").orElseThrow()).rms()).isCloseTo(LINE / 4, TENTH);
        assertThat(volts(solution, "P1")).isCloseTo(LINE * 3 / 4, TENTH);
        assertThat(volts(solution, "P4")).isCloseTo(LINE * 3 / 4, TENTH);
        double other = LINE * Math.hypot(0.5 + 0.25, Math.sqrt(3) / 2);
        assertThat(volts(solution, "P2")).isCloseTo(other, TENTH);
        assertThat(volts(solution, "P3")).isCloseTo(other, TENTH);
    }

    @Test
    void aDeltaHasTheVoltageBetweenLinesOnEachSide() {
        Network network = network(
                THREE_PHASES + "," + lamps("P1", "P2", "P3"),
                "\"G1[L1] @11\", \"G1[L2] @12\", \"G1[L3] @13\"",
                "\"@11 P1[X1-X2] @12\", \"@12 P2[X1-X2] @13\", \"@13 P3[X1-X2] @11\"");

        Solution solution = live(network);

        for (String lamp : List.of("P1", "P2", "P3")) {
            assertThat(volts(solution, lamp)).as(lamp).isCloseTo(BETWEEN, TENTH);
        }
        assertThat(solution.shorts()).isEmpty();
    }

    /** A bridge of five: balanced, its middle has nothing; with one leg doubled it has a share. */
    @Test
    void aBridgeIsBalancedOrNot() {
        String four = "\"L P1[X1-X2] @3 P2[X1-X2] N\", \"L P3[X1-X2] @4 P4[X1-X2] N\", \"@3 P5[X1-X2] @4\"";
        Network balanced =
                network(ONE_PHASE + "," + lamps("P1", "P2", "P3", "P4", "P5"), "\"G1[L] L\", \"G1[N] N\"", four);
        assertThat(volts(live(balanced), "P5")).isCloseTo(0, TENTH);

        Network tilted = network(
                ONE_PHASE + "," + lamps("P1", "P2", "P3", "P4", "P5", "P6"),
                "\"G1[L] L\", \"G1[N] N\"",
                four + ", \"L P6[X1-X2] @3\"");
        Solution solution = live(tilted);
        // Nodes: 2(U - a) = a + (a - b) and (U - b) = b - (a - b), so that a = 7/11 U and b = 6/11 U.
        assertThat(volts(solution, "P2")).isCloseTo(230 * 7 / 11.0, TENTH);
        assertThat(volts(solution, "P4")).isCloseTo(230 * 6 / 11.0, TENTH);
        assertThat(volts(solution, "P5")).isCloseTo(230 / 11.0, TENTH);
    }

    @ParameterizedTest
    @CsvSource({"0, true, 400", "1, true, 0", "0, false, 0"})
    void aLampBetweenLinesGoesOutAtABridgedOrALostOne(int bridged, boolean there, double expected) {
        Network network = network(
                THREE_PHASES + "," + lamps("P1")
                        + ", {\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}",
                "\"G1[L1] @11\", \"G1[L2] @12\"",
                "\"@11 P1[X1-X2] @12\", \"@11 S1[13-14] @12\"");

        Solution solution = network.solve(all(bridged), there ? all(network.sourceCount()) : new BitSet());

        assertThat(volts(solution, "P1")).isCloseTo(expected, TENTH);
        assertThat(solution.shorts().isEmpty()).isEqualTo(bridged == 0 || !there);
    }

    /** A supply of 24 V: its own circuit, and a meter from it to the mains finds both voltages beside each other. */
    @Test
    void directAndAlternatingVoltageAreKeptApart() {
        Network network = network(
                ONE_PHASE + "," + lamps("P1")
                        + ", {\"tag\": \"G2\", \"kind\": \"dc-supply\", \"input\": \"230 V AC\", \"output\": \"24 V DC\"},"
                        + "{\"tag\": \"P2\", \"kind\": \"pilot-lamp\", \"lamp\": \"24 V DC\"}",
                "\"G1[L] L\", \"G1[N] N\", \"L G2[L-N] N\", \"G2[+] @91\", \"G2[-] @92\"",
                "\"L P1[X1-X2] N\", \"@91 P2[X1-X2] @92\"");

        Solution solution = live(network);

        assertThat(volts(solution, "P1")).isCloseTo(230, TENTH);
        Potential lamp = solution.loadVoltage(load(network, "P2"));
        assertThat(lamp.direct()).isCloseTo(24, TENTH);
        assertThat(lamp.alternating()).isCloseTo(0, TENTH);
        assertThat(solution.shareOfRated(load(network, "P2"))).isCloseTo(1, within(0.01));
        assertThat(solution.joined(node(network, "P1", "X1"), node(network, "P2", "X1")))
                .isFalse();
    }

    /** The other kind of voltage does nothing to what is not rated for it. */
    @Test
    void aLampForDirectVoltageOnAlternatingIsDark() {
        Network network = network(
                ONE_PHASE + ", {\"tag\": \"P2\", \"kind\": \"pilot-lamp\", \"lamp\": \"24 V DC\"}",
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L P2[X1-X2] N\"");

        Solution solution = live(network);

        assertThat(volts(solution, "P2")).isCloseTo(230, TENTH);
        assertThat(solution.voltsThatCount(load(network, "P2"))).isCloseTo(0, TENTH);
    }

    /** Dead, with an ohmmeter. */
    @Test
    void resistancesAddInSeriesAndTheirInversesInParallel() {
        Network network = network(
                ONE_PHASE + ", {\"tag\": \"K1\", \"kind\": \"contactor\", \"coil\": \"230 V AC\"},"
                        + "{\"tag\": \"K2\", \"kind\": \"contactor\", \"coil\": \"230 V AC\"},"
                        + "{\"tag\": \"K3\", \"kind\": \"contactor\", \"coil\": \"230 V AC\"},"
                        + "{\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}",
                "\"G1[L] @99\"",
                "\"L S1[13-14] @3 K1[A1-A2] @4 K2[A1-A2] N\", \"@4 K3[A1-A2] N\"");
        double one = plate(network, "K1").meterOhms();
        int line = network.node("1").orElseThrow();
        int behind = network.node("3").orElseThrow();
        int middle = network.node("4").orElseThrow();
        int back = network.node("2").orElseThrow();
        Solution open = network.solve(new BitSet(), new BitSet());
        BitSet pressed = new BitSet();
        pressed.set(network.contact(network.assembly().indexOf("S1").orElseThrow(), 0));
        Solution closed = network.solve(pressed, new BitSet());

        assertThat(open.resistance(behind, middle)).isCloseTo(one, within(1e-3));
        assertThat(open.resistance(middle, back)).isCloseTo(one / 2, within(1e-3));
        assertThat(open.resistance(behind, back)).isCloseTo(one * 1.5, within(1e-3));
        assertThat(open.resistance(line, back)).isInfinite();
        assertThat(closed.resistance(line, back)).isCloseTo(one * 1.5, within(1e-3));
        assertThat(closed.resistance(line, behind)).isZero();
    }

    /** Two supplies on one wire: of the same phase nothing happens, of another it is a short circuit. */
    @ParameterizedTest
    @CsvSource({"L1, 0", "L2, 1", "N, 1"})
    void aContactBetweenTwoTerminalsOfASupplyIsAShortUnlessTheyAreTheSame(String other, int shorts) {
        Network network = network(
                THREE_PHASES + ", {\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"13-14\"}",
                "\"G1[L1] @11\", \"G1[" + other + "] " + (other.equals("L1") ? "@11" : "@12") + "\"",
                "\"@11 S1[13-14] " + (other.equals("L1") ? "@11" : "@12") + "\"");

        assertThat(live(network, 0).shorts()).hasSize(shorts);
    }

    @Test
    void whatHangsOnOneSideOnlyHasItsVoltageAndNoCurrent() {
        Network network = network(
                ONE_PHASE + "," + lamps("P1") + ", {\"tag\": \"S1\", \"kind\": \"push-button\", \"blocks\": \"11-12\"}",
                "\"G1[L] L\", \"G1[N] N\"",
                "\"L P1[X1-X2] @3 S1[11-12] N\"");

        Solution open = live(network);

        assertThat(volts(open, "P1")).isCloseTo(0, TENTH);
        assertThat(open.potential(network.node("3").orElseThrow()).rms()).isCloseTo(230, TENTH);
        assertThat(open.state(network.node("3").orElseThrow())).isEqualTo(NodeState.LIVE_THROUGH_LOAD);
        assertThat(volts(live(network, 0), "P1")).isCloseTo(230, TENTH);
    }
}
