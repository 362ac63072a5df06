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
import parable.circuit.Device;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
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
