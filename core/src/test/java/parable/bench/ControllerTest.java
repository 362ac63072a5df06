package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.Sheet;
import parable.parts.Verb;
import parable.program.Program;
import parable.program.StructuredText;

/** The chain from a terminal through filter, scan and output contact. */
class ControllerTest {

    private static final String PROGRAM = "PROGRAM P VAR S1 AT %IX0.0 : BOOL; Y AT %QX0.0 : BOOL; T : TON; END_VAR ";

    private static Sheet sheet(String statements) throws Exception {
        RungNotation notation = new RungNotation(Set.of("L", "N", "P", "M"));
        List<Rung> rungs = List.of(
                notation.read("L G2[L-N] N"),
                notation.read("P A1[+--] M"),
                notation.read("P S1[13-14] A1[I0-IC] M"),
                notation.read("P A1[QC0-Q0] P1[X1-X2] M"));
        List<Rung> power = List.of(
                notation.read("G1[L] L"), notation.read("G1[N] N"), notation.read("G2[+] P"), notation.read("G2[-] M"));
        List<Device> devices = List.of(
                device("single-phase-supply", "G1", Map.of()),
                device("dc-supply", "G2", Map.of()),
                device("push-button", "S1", Map.of()),
                device("controller", "A1", Map.of()),
                device("pilot-lamp", "P1", Map.of("lamp", "24 V DC")));
        List<Rail> rails = List.of(new Rail("L", "1"), new Rail("N", "2"), new Rail("P", "3"), new Rail("M", "4"));
        Program program = StructuredText.read(PROGRAM + statements + " END_PROGRAM");
        return new Sheet("Try", Duty.MAINTAINED, rails, devices, power, rungs, Extras.NONE)
                .withProgram(Optional.of(program));
    }

    private static Device device(String kind, String tag, Map<String, String> settings) {
        return new Device(tag, "", kind, "", "", settings, Extras.NONE);
    }

    private static List<String> story(Bench bench, long from) {
        return bench.story().stream()
                .filter(line -> line.time() >= from)
                .map(line -> line.time() / 1000 + " " + line.text())
                .toList();
    }

    @Test
    void aPressGoesThroughFilterScanAndOutput() throws Exception {
        Bench bench = Bench.of(Examples.fitted(sheet("Y := S1;")));
        bench.runUntil(1_002_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(1_100_000);

        assertThat(story(bench, 1_002_000))
                .containsExactly(
                        "1002 S1 pressed.",
                        "1007 S1 13-14 closes.",
                        "1010 A1 reads 1 at I0 (S1).",
                        "1010 A1's program sets Q0 (Y).",
                        "1020 A1 QC0-Q0 closes, so P1 lights.");
        assertThat(bench.moment().program().orElseThrow().isOne("Y")).isTrue();
    }

    /** Shorter than its filter: the input does not see it. */
    @Test
    void aPulseShorterThanTheFilterIsNotRead() throws Exception {
        Bench bench = Bench.of(Examples.fitted(sheet("Y := S1;")));
        bench.runUntil(1_002_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(1_009_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(2_000_000);

        assertThat(story(bench, 1_002_000)).noneMatch(line -> line.contains("reads"));
    }

    @Test
    void aTimerOfTheProgramIsNoticedByTheNextScan() throws Exception {
        Bench bench = Bench.of(Examples.fitted(sheet("T(IN := S1, PT := T#55ms); Y := T.Q;")));
        bench.runUntil(1_000_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(2_000_000);

        assertThat(story(bench, 1_000_000)).contains("1070 A1's program sets Q0 (Y).");
    }

    @Test
    void stoppedOrWithoutSupplyAllOutputsGoOffAndTheProgramBeginsAnew() throws Exception {
        Bench bench = Bench.of(Examples.fitted(sheet("IF S1 THEN Y := TRUE; END_IF;")));
        bench.runUntil(1_000_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(2_000_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.act(new Action(Verb.RUN, "A1"));
        bench.runUntil(3_000_000);
        assertThat(bench.moment().energised("P1")).isTrue();

        bench.act(new Action(Verb.HALT, "A1"));
        bench.runUntil(4_000_000);
        assertThat(bench.moment().condition("A1")).isEqualTo(Condition.HALTED);
        assertThat(bench.moment().energised("P1")).isFalse();
        assertThat(bench.moment().program()).isEmpty();

        bench.act(new Action(Verb.RUN, "A1"));
        bench.runUntil(5_000_000);
        assertThat(bench.moment().condition("A1")).isEqualTo(Condition.RUNNING);
        assertThat(bench.moment().energised("P1")).isFalse();

        bench.act(new Action(Verb.LOSE, "G1"));
        bench.runUntil(6_000_000);
        assertThat(bench.moment().condition("A1")).isEqualTo(Condition.HALTED);
    }

    /** A changed program goes on with the bits it has in common with the one before. */
    @Test
    void theProgramIsChangedWhileItRuns() throws Exception {
        Bench bench = Bench.of(Examples.fitted(sheet("IF S1 THEN Y := TRUE; END_IF;")));
        bench.runUntil(1_000_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(2_000_000);
        bench.act(new Action(Verb.RELEASE, "S1"));
        bench.runUntil(3_000_000);
        Bench changed = bench.on(Examples.fitted(sheet("IF S1 THEN Y := FALSE; END_IF;")), bench.now());
        changed.runUntil(4_000_000);
        assertThat(changed.moment().energised("P1")).isTrue();

        changed.act(new Action(Verb.PRESS, "S1"));
        changed.runUntil(5_000_000);
        assertThat(changed.moment().energised("P1")).isFalse();
    }
}
