package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Pace;
import parable.bench.Progress;
import parable.circuit.Circuit;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.parts.Verb;

class SequenceTest {

    private static final Pattern SECONDS = Pattern.compile("([\\d.]+) to ([\\d.]+) (ms|s)\\b");

    private static Claim claim(Sheet sheet, String id) {
        return Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED)
                .claim(id)
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Mill                 | sequence:S1 | KD comes in the place of KY after 7.81 to 8.18 s, and KM stays in all the while",
                "Star-delta dead time | sequence:S1 | M1 is without current for 45 to 85 ms",
                "Mill start warning   | warned:S1   | Power returned and S1 held: the horn sounds for 2.94 to 3.07 s before M1 starts.",
                "Warning at start     | warned:S1   | S1 pressed: the horn sounds for 2.93 to 3.07 s before M1 starts.",
                "Warning at start     | finger:S1   | it is fed after 2.95 to 3.13 s",
                "Timed brake          | brake:S0:S1 | M1 is braked for 3.87 to 4.09 s and stands still once the brake lets go."
            })
    void tellsHowLongWhatFollowsTakes(String sheet, String id, String text) {
        Claim claim = claim(Examples.ofLibrary(sheet), id);

        assertThat(claim.text()).contains(text);
        assertThat(claim.verdict()).isEqualTo(Verdict.HOLDS_WITHIN_TIMES);
        assertThat(claim.times()).isNotEmpty();
    }

    @Test
    void noMotorStartsBeforeTheWarningHasRunItsTime() {
        assertThat(claim(Examples.ofLibrary("Mill start warning"), "awaits:KT").verdict())
                .isEqualTo(Verdict.HOLDS_AT_ANY_SPEED);
        assertThat(Proof.of(Examples.fitted(Examples.ofLibrary("Mill")), Proof.Timing.ANY, Progress.UNWATCHED)
                        .claim("awaits:KT"))
                .isEmpty();
    }

    /** On the bench, with every time drawn by lot from its range, the change from star to delta keeps to what is claimed. */
    @ParameterizedTest
    @CsvSource({"Mill", "Star-delta direct", "Star-delta dead time"})
    void everyRunKeepsToTheClaimedTimes(String name) throws ActionRefusedException {
        Sheet sheet = Examples.ofLibrary(name);
        List<MatchResult> ranges =
                SECONDS.matcher(claim(sheet, "sequence:S1").text()).results().toList();
        Random random = new Random(7);
        for (int run = 0; run < 60; run++) {
            Bench bench = Bench.of(Examples.fitted(sheet), drawn(random.nextLong()));
            bench.act(new Action(Verb.CLOSE, "Q1"));
            bench.runUntil(1_000_000);
            bench.act(new Action(Verb.PRESS, "S1"));
            bench.runUntil(1_200_000);
            bench.act(new Action(Verb.RELEASE, "S1"));
            bench.runUntil(12_000_000);
            List<Long> fed = new ArrayList<>();
            long delta = bench.instants().stream()
                    .filter(instant -> bench.momentAt(instant).condition("KD") == Condition.IN)
                    .findFirst()
                    .orElseThrow();
            long without = 0;
            long before = 0;
            for (long instant : bench.instants()) {
                boolean dead = !fed.isEmpty()
                        && before <= delta
                        && bench.momentAt(before).condition("M1") != Condition.FORWARD;
                without += dead ? instant - before : 0;
                if (bench.momentAt(instant).condition("M1") == Condition.FORWARD) {
                    fed.add(instant);
                }
                before = instant;
            }
            assertThat((delta - fed.get(0)) / 1e6).isBetween(least(ranges.get(0)) - 0.005, most(ranges.get(0)) + 0.005);
            assertThat(without / 1e6).isBetween(least(ranges.get(1)) - 0.001, most(ranges.get(1)) + 0.001);
        }
    }

    /** Every time drawn from its range, always the same for the same change at the same time. */
    private static Pace drawn(long seed) {
        return (tag, change, now, range) -> {
            double share = new Random(seed ^ tag.hashCode() * 31L ^ change.ordinal() * 7919L ^ now).nextDouble();
            return range.shortest() + (long) (share * (range.longest() - range.shortest()));
        };
    }

    private static double least(MatchResult range) {
        return Double.parseDouble(range.group(1)) / (range.group(3).equals("ms") ? 1000 : 1);
    }

    private static double most(MatchResult range) {
        return Double.parseDouble(range.group(2)) / (range.group(3).equals("ms") ? 1000 : 1);
    }

    /** Fed beside the coil of the run contactor, the brake's timer can be quicker than that one's rest contact. */
    @Test
    void aBrakeThatMayComeInAtAStartIsFound() {
        Sheet sheet = Examples.ofLibrary("Timed brake");
        List<Rung> rungs = new ArrayList<>(sheet.control());
        RungNotation notation = new RungNotation(Set.of("L", "N"));
        rungs.replaceAll(rung -> rung.text().contains("KT[A1-A2]") ? read(notation, "@6 KT[A1-A2] N") : rung);
        Sheet raced = sheet.withRungs(Circuit.CONTROL, rungs);

        Claim claim = claim(raced, "finger:S1");

        assertThat(claim.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(claim.story()).anyMatch(line -> line.contains("K2 begins to move"));
    }

    private static Rung read(RungNotation notation, String text) {
        try {
            return notation.read(text);
        } catch (RungSyntaxException broken) {
            throw new AssertionError(broken);
        }
    }
}
