package parable.starters;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;

/** The ladders that the trade knows by heart, rung by rung, for each answer to a question. */
class LadderTest {

    private static final MotorData PUMP = MotorData.on400V("Pump", "cellar", "2.2 kW");

    private static Arguments ladder(List<Choice> answers, String... rungs) {
        return Arguments.of(answers, List.of(rungs));
    }

    private static List<Choice> answers(Choice... answers) {
        return List.of(answers);
    }

    static List<Arguments> ladders() {
        return List.of(
                ladder(answers(), "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N", "@4 K1[13-14] @5"),
                ladder(answers(Starting.TWO_WIRE), "L F2[95-96] @3 S5[13-14] @4 K1[A1-A2] N"),
                ladder(
                        answers(Starting.HAND_OFF_AUTO),
                        "L F2[95-96] @3 S5[13-14] @4 K1[A1-A2] N",
                        "@3 S5[23-24] @5 S6[13-14] @4"),
                ladder(
                        answers(OverloadContact.LAST),
                        "L S0[11-12] @3 S1[13-14] @4 K1[A1-A2] @5 F2[95-96] N",
                        "@3 K1[13-14] @4"),
                ladder(
                        answers(ProtectiveDevice.MOTOR_PROTECTIVE_BREAKER),
                        "L Q1[13-14] @3 S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N",
                        "@4 K1[13-14] @5"),
                ladder(
                        answers(EmergencyStop.ONE),
                        "L F2[95-96] @3 S4[11-12] @4 S0[11-12] @5 S1[13-14] @6 K1[A1-A2] N",
                        "@5 K1[13-14] @6"),
                ladder(
                        answers(Running.STAR_DELTA_BY_STAR),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KT[A1-A2] N",
                        "@4 KM[13-14] @5",
                        "@5 KT[15-16] @6 KD[21-22] @7 KY[A1-A2] N",
                        "@5 KY[13-14] @8 KM[A1-A2] N",
                        "@5 KM[43-44] @8",
                        "@5 KT[15-18] @9 KY[21-22] @10 KD[A1-A2] N"),
                ladder(
                        answers(Running.STAR_DELTA_DIRECT),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KM[A1-A2] N",
                        "@4 KM[13-14] @5",
                        "@5 KT[A1-A2] N",
                        "@5 KT[15-16] @6 KD[21-22] @7 KY[A1-A2] N",
                        "@5 KT[15-18] @8 KY[21-22] @9 KD[A1-A2] N"),
                ladder(
                        answers(Running.STAR_DELTA_DEAD_TIME),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KM[A1-A2] N",
                        "@4 KM[13-14] @5",
                        "@5 KT[A1-A2] N",
                        "@5 KT[17-18] @6 KD[21-22] @7 KY[A1-A2] N",
                        "@5 KT[17-28] @8 KY[21-22] @9 KD[A1-A2] N"),
                ladder(
                        answers(Directions.STOP_FIRST),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K2[21-22] @6 K1[A1-A2] N",
                        "@4 K1[13-14] @5",
                        "@4 S2[13-14] @7 K1[21-22] @8 K2[A1-A2] N",
                        "@4 K2[13-14] @7"),
                ladder(
                        answers(Directions.BUTTON_INTERLOCK),
                        "L F2[95-96] @3 S0[11-12] @4 S2[21-22] @5 S1[13-14] @6 K2[21-22] @7 K1[A1-A2] N",
                        "@5 K1[13-14] @6",
                        "@4 S1[21-22] @8 S2[13-14] @9 K1[21-22] @10 K2[A1-A2] N",
                        "@8 K2[13-14] @9"),
                ladder(
                        answers(Directions.SELECTOR),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 S5[13-14] @6 K2[21-22] @7 K1[A1-A2] N",
                        "@4 K1[13-14] @5",
                        "@4 K2[13-14] @5",
                        "@5 S5[23-24] @8 K1[21-22] @9 K2[A1-A2] N"),
                ladder(
                        answers(Jogging.SELECTOR),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N",
                        "@4 S5[13-14] @6 K1[13-14] @5"),
                ladder(
                        answers(Jogging.RELAY),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KA[A1-A2] N",
                        "@4 K1[13-14] @6 KA[11-14] @5",
                        "@4 KA[21-24] @7 K1[A1-A2] N",
                        "@4 S3[13-14] @7"),
                ladder(
                        answers(Warning.FROM_START),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KA[A1-A2] N",
                        "@4 KA[11-14] @5",
                        "@5 KT[A1-A2] N",
                        "@5 KT[15-18] @6 K1[A1-A2] N",
                        "L G2[L-N] N",
                        "L24 KA[21-24] @7 K1[21-22] @8 H1[X1-X2] M24"),
                ladder(
                        answers(Braking.TIMED),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K2[21-22] @6 K1[A1-A2] N",
                        "@4 K1[13-14] @5",
                        "L K1[33-34] @7 KT[A1-A2] N",
                        "L K1[21-22] @8 KT[15-18] @9 K2[A1-A2] N",
                        "@9 P1[X1-X2] N"),
                ladder(
                        answers(Braking.UNTIL_STANDSTILL),
                        "L F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K2[21-22] @6 K1[A1-A2] N",
                        "@4 K1[13-14] @5",
                        "L K1[33-34] @7 KT[A1-A2] N",
                        "L K1[21-22] @8 KT[15-18] @9 S9[13-14] @10 K2[A1-A2] N",
                        "@10 P1[X1-X2] N"),
                ladder(
                        answers(ControlSupply.DC_24),
                        "P F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 K1[A1-A2] M",
                        "@4 K1[13-14] @5"),
                ladder(
                        answers(ControlSupply.DC_24_WITH_RELAY),
                        "L G2[L-N] N",
                        "P F2[95-96] @3 S0[11-12] @4 S1[13-14] @5 KA[A1-A2] M",
                        "@4 KA[11-14] @5",
                        "L KA[21-24] @6 K1[A1-A2] N"));
    }

    private static Sheet drawn(List<Choice> answers) {
        Wish wish = Wish.of("Pump", Practice.IEC, PUMP).with(ControlSupply.LINE_TO_NEUTRAL);
        for (Choice answer : answers) {
            wish = wish.with(answer);
        }
        return Starter.of(wish).sheet();
    }

    private static List<String> withoutRemarks(List<Rung> rungs) {
        return rungs.stream().map(rung -> new Rung(rung.items(), "").text()).toList();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("ladders")
    void isTheOneOfTheTrade(List<Choice> answers, List<String> rungs) {
        assertThat(withoutRemarks(drawn(answers).control())).isEqualTo(rungs);
    }

    /** Two lines change places between the two contactors, and no third does. */
    @Test
    void reversingExchangesTwoLines() {
        List<String> power =
                withoutRemarks(drawn(answers(Directions.STOP_FIRST)).power());
        List<String> first = power.stream().filter(rung -> rung.contains("K1[")).toList();
        List<String> second =
                power.stream().filter(rung -> rung.contains("K2[")).toList();

        assertThat(first).hasSize(3);
        assertThat(second).hasSize(3);
        long exchanged = second.stream()
                .filter(rung -> first.stream().noneMatch(one -> ends(one).containsAll(ends(rung))))
                .count();
        assertThat(exchanged).isEqualTo(2);
    }

    /** The points of a rung, without what is between them. */
    private static List<String> ends(String rung) {
        return Arrays.stream(rung.split(" "))
                .filter(word -> word.startsWith("@"))
                .toList();
    }

    @Test
    void aFurtherStationHasItsStopInSeriesAndItsStartInParallel() {
        Wish wish = Wish.of("Pump", Practice.IEC, PUMP)
                .with(ControlSupply.LINE_TO_NEUTRAL)
                .from("door", "cellar");
        Sheet two = Starter.of(wish).sheet();

        assertThat(withoutRemarks(two.control()))
                .anyMatch(rung -> rung.matches(".*S\\d\\[11-12] @\\d S\\d\\[11-12].*K1\\[A1-A2] N"))
                .anyMatch(rung -> rung.matches("@\\d S\\d\\[13-14] @\\d"));
        assertThat(two.devices())
                .filteredOn(device -> device.place().equals("cellar"))
                .extracting(device -> device.label())
                .contains("Stop", "Start");
    }

    /** In whatever order the questions are answered. */
    @Test
    void theSameWishIsAlwaysDrawnTheSame() {
        assertThat(drawn(answers(Running.STAR_DELTA_BY_STAR, EmergencyStop.ONE)))
                .isEqualTo(drawn(answers(EmergencyStop.ONE, Running.STAR_DELTA_BY_STAR)));
    }
}
