package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.starters.Library;
import parable.testsheet.Coverage;

/** The long hunts: their rows are the table of {@code docs/finding.md}. */
class FindingCampaignTest {

    private static final double LOG_2 = Math.log(2);

    /** Every so many of the faults are hunted; 1 is all of them. */
    private static final int EVERY = Integer.getInteger("parable.hunt.every", 5);

    static Stream<Sheet> starters() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream());
    }

    private static Practice practice(Sheet sheet) {
        return Library.jobs().stream()
                .filter(job -> job.sheets().contains(sheet))
                .findFirst()
                .orElseThrow()
                .practice();
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("starters")
    void faultsOfAStarter(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        FaultHunt hunt = new FaultHunt(assembly, practice(sheet), FaultSearch.Knowledge.NONE);
        ProbeWalk walk = new ProbeWalk(assembly);
        List<Fault> all = Coverage.possible(assembly);
        int hunts = 0;
        int silent = 0;
        int worst = 0;
        double looks = 0;
        double minutes = 0;
        double bound = 0;
        double walked = 0;
        int walks = 0;
        List<String> lost = new ArrayList<>();
        for (int i = 0; i < all.size(); i += EVERY) {
            List<Fault> one = List.of(all.get(i));
            Optional<FaultHunt.Hunted> came = hunt.hunt(one);
            if (came.isEmpty()) {
                silent++;
                continue;
            }
            hunts++;
            if (!came.get().names(one) || !came.get().harmful().isEmpty()) {
                lost.add(all.get(i).words());
            }
            looks += came.get().looks();
            minutes += came.get().minutes();
            worst = Math.max(worst, came.get().looks());
            bound += Math.log(came.get().fitting()) / LOG_2;
            FaultHunt.Hidden hidden = hunt.new Hidden(one);
            walked += walk.looks(hidden, hidden.symptom().orElseThrow());
            walks++;
        }
        System.out.printf(
                Locale.ROOT,
                "| %s | %d | %d | %.1f | %.1f | %d | %.1f | %.0f | %d |%n",
                sheet.name(),
                hunts,
                silent,
                looks / hunts,
                bound / hunts,
                worst,
                walked / walks,
                minutes / hunts,
                lost.size());
        assertThat(lost).isEmpty();
        assertThat(looks).isLessThanOrEqualTo(1.5 * bound);
        assertThat(worst).isLessThan(12);
        assertThat(looks / hunts).isLessThan(walked / walks);
    }

    /** One reading in ten is wrong; three looks more are allowed for it. */
    @Tag("long")
    @Test
    void wrongReadings() {
        Random chance = new Random(5);
        int hunts = 0;
        int named = 0;
        double looks = 0;
        double right = 0;
        for (String name : List.of("Two-wire", "Wash pump", "Press platen", "24 V DC")) {
            Sheet sheet = Examples.ofLibrary(name);
            Assembly assembly = Examples.fitted(sheet);
            FaultHunt doubting =
                    new FaultHunt(assembly, practice(sheet), new FaultSearch.Knowledge(false, Map.of(), 0.1));
            List<Fault> all = Coverage.possible(assembly);
            for (int i = 1; i < all.size(); i += 7) {
                List<Fault> one = List.of(all.get(i));
                Optional<FaultHunt.Hunted> came = doubting.hunt(one, Optional.of(chance));
                if (came.isPresent()) {
                    hunts++;
                    named += came.get().names(one) ? 1 : 0;
                    looks += came.get().looks();
                    right += doubting.hunt(one).orElseThrow().looks();
                }
            }
        }
        System.out.printf(
                Locale.ROOT,
                "wrong readings: %d of %d named, %.2f looks, %.2f with right readings%n",
                named,
                hunts,
                looks / hunts,
                right / hunts);
        assertThat(named).isGreaterThanOrEqualTo((int) Math.ceil(0.95 * hunts));
        assertThat(looks - right).isLessThanOrEqualTo(3.0 * hunts);
    }

    /** Two faults, each of which shows by itself. */
    @Tag("long")
    @ParameterizedTest
    @ValueSource(strings = {"Two-wire", "Fan", "Missing seal-in", "Transformer"})
    void pairs(String name) {
        Sheet sheet = Examples.ofLibrary(name);
        Assembly assembly = Examples.fitted(sheet);
        FaultHunt hunt = new FaultHunt(assembly, practice(sheet), FaultSearch.Knowledge.NONE);
        List<Fault> all = Coverage.possible(assembly);
        Random chance = new Random(7);
        int hunts = 0;
        int found = 0;
        while (hunts < 50) {
            Fault one = all.get(chance.nextInt(all.size()));
            Fault other = all.get(chance.nextInt(all.size()));
            boolean apart = !one.tag().equals(other.tag()) || !one.place().equals(other.place());
            if (apart && shows(hunt, one) && shows(hunt, other)) {
                Optional<Boolean> both = hunt.huntBoth(List.of(one, other));
                if (both.isPresent()) {
                    hunts++;
                    found += both.get() ? 1 : 0;
                }
            }
        }
        System.out.printf(Locale.ROOT, "pairs on %s: %d of %d%n", name, found, hunts);
        assertThat(found).isGreaterThanOrEqualTo((int) Math.ceil(0.9 * hunts));
    }

    private static boolean shows(FaultHunt hunt, Fault fault) {
        return hunt.new Hidden(List.of(fault)).symptom().isPresent();
    }
}
