package parable.drafting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Reading;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.parts.Verb;
import parable.scenario.Outcome;
import parable.scenario.Player;
import parable.scenario.Scenario;
import parable.starters.Library;

/** One circuit in either dress. */
class DressTest {

    static Stream<Job> jobs() {
        return Library.jobs().stream();
    }

    private static Practice other(Job job) {
        return job.practice() == Practice.IEC ? Practice.NORTH_AMERICAN : Practice.IEC;
    }

    @ParameterizedTest
    @MethodSource("jobs")
    void dressedTwiceAJobIsWhatItWas(Job job) {
        Job dressed = Dress.of(job, other(job));
        Job back = Dress.of(dressed, job.practice());

        assertThat(dressed.practice()).isEqualTo(other(job));
        for (Sheet sheet : dressed.sheets()) {
            List<String> tags = sheet.devices().stream().map(Device::tag).toList();
            assertThat(new HashSet<>(tags)).as(sheet.name()).hasSameSizeAs(tags);
            Examples.fitted(sheet);
        }
        for (int i = 0; i < job.sheets().size(); i++) {
            Sheet sheet = job.sheets().get(i);
            assertThat(back.sheets().get(i).rungs())
                    .containsExactlyElementsOf(sheet.rungs().toList());
            assertThat(back.sheets().get(i).devices())
                    .extracting(Device::tag)
                    .containsExactlyElementsOf(
                            sheet.devices().stream().map(Device::tag).toList());
        }
    }

    @Test
    void theTagsAreThoseOfTheTrade() {
        Sheet platen = Dress.of(Examples.pressHouse(), Practice.NORTH_AMERICAN)
                .sheet("Press platen")
                .orElseThrow();

        assertThat(platen.devices())
                .extracting(Device::tag)
                .contains("F", "R", "OL", "CB1", "MTR1", "PB1", "LS1", "LS2", "MI", "LT1");
        assertThat(platen.device("MI").orElseThrow().setting("between")).hasValue("F R");
    }

    /** NEMA MG 1: T1-T4, T2-T5 and T3-T6 are the windings of a motor with six leads. */
    @Test
    void theLeadsOfAMotorAreMarkedAsInThePractice() throws Exception {
        Sheet mill = Dress.of(Examples.pressHouse(), Practice.NORTH_AMERICAN)
                .sheet("Mill")
                .orElseThrow();

        assertThat(Examples.fitted(mill).part("MTR1").orElseThrow().loads())
                .extracting(load -> load.from() + "-" + load.to())
                .containsExactly("T1-T4", "T2-T5", "T3-T6");
        assertThat(mill.power())
                .extracting(Rung::text)
                .anyMatch(text -> text.contains("MTR1[T1-T4]"))
                .noneMatch(text -> text.contains("[U1"));
    }

    /** There the transformer of the pump is called T1 as a lead is; in a statement it is the transformer, after the motor too. */
    @Test
    void aTagThatIsCalledAsALeadStaysATag() throws Exception {
        Sheet pump = Examples.washPump().withClaims(List.of("M1 is at rest while T1 is off"));
        Job job = new Job("Cellar", Practice.IEC, List.of(pump), Extras.NONE);
        Job dressed = Dress.of(job, Practice.NORTH_AMERICAN);

        assertThat(dressed.sheets().get(0).claims()).containsExactly("MTR1 is at rest while T1 is off");
        assertThat(Dress.of(dressed, Practice.IEC).sheets().get(0).claims()).isEqualTo(pump.claims());
    }

    /** What was measured at a lead, wired to it or put out of order stays with it. */
    @Test
    void whatIsKnownOfALeadGoesWithIt() throws Exception {
        Sheet pump = Examples.washPump();
        Terminal lead = new Terminal("M1", "U1");
        Terminal overload = new Terminal("F2", "2");
        Sheet noted = pump.withFieldwork(Fieldwork.NONE
                .choosing(List.of(new WireChoice(overload, lead)))
                .ticked(overload, lead, Tick.DONE, true)
                .with(new Reading("dead: touch nothing: Ohms from F2 2 to M1 U1", "0.1 ohm", "", "", "")));
        Job job = new Job("Cellar", Practice.IEC, List.of(noted), Extras.NONE);
        Sheet dressed = Dress.of(job, Practice.NORTH_AMERICAN).sheets().get(0);
        Fieldwork there = dressed.fieldwork();

        assertThat(there.choices()).hasToString("[OL:2 MTR1:T1]");
        assertThat(there.ticks(new Terminal("OL", "2"), new Terminal("MTR1", "T1")))
                .containsExactly(Tick.DONE);
        assertThat(there.reading("dead: touch nothing: Ohms from OL 2 to MTR1 T1"))
                .isPresent();
        assertThat(Dress.of(Dress.of(job, Practice.NORTH_AMERICAN), Practice.IEC)
                        .sheets()
                        .get(0)
                        .fieldwork())
                .isEqualTo(noted.fieldwork());
        Bench bench = Bench.of(Examples.fitted(pump));
        bench.set(new Fault(Fault.Kind.OFF, "M1", "U1"), true);
        assertThat(bench.on(Examples.fitted(dressed), 0).moment().faults())
                .containsExactly(new Fault(Fault.Kind.OFF, "MTR1", "T1"));
    }

    @Test
    void aRunGoesOnInTheOtherDressAndAScriptKnowsBothTags() throws Exception {
        Sheet pump = Examples.washPump();
        Bench bench = Bench.of(Examples.fitted(pump));
        Player player = new Player(bench, Scenario.read("0 close Q1\n100 ms press S1\n300 ms release S1"));
        player.playAll();
        bench.runUntil(2_000_000);
        Sheet dressed = Dress.of(Examples.pressHouse(), Practice.NORTH_AMERICAN)
                .sheet(pump.name())
                .orElseThrow();
        Bench next = bench.on(Examples.fitted(dressed), bench.now());

        assertThat(next.moment().condition("M")).isEqualTo(Condition.IN);
        assertThat(next.moment().condition("MTR1")).isEqualTo(Condition.FORWARD);
        assertThat(next.story().get(next.story().size() - 1).text())
                .contains("K1 is now called M", "S1 is now called PB2");
        next.act(new Action(Verb.OPEN, "CB1"));
        Bench again = Bench.of(Examples.fitted(dressed));
        Player inOldTags = new Player(
                again,
                Scenario.read(
                        "0 close Q1\n100 ms press S1\n300 ms release S1\n900 ms expect K1 in, M1 forward", dressed));
        inOldTags.playAll();
        assertThat(inOldTags.outcomes()).hasSize(2).allMatch(Outcome::met);
    }
}
