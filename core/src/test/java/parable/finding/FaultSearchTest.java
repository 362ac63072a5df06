package parable.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.testsheet.Coverage;
import parable.testsheet.Found;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.StepRehearsal;

/** Faults hidden in a panel on the bench, hunted by the looks that are proposed. */
class FaultSearchTest {

    private static final double LOG_2 = Math.log(2);

    private static Assembly assembly(String sheet) {
        return Examples.fitted(Examples.ofLibrary(sheet));
    }

    private static List<Fault> some(Assembly assembly, int from, int every) {
        List<Fault> all = Coverage.possible(assembly);
        return IntStream.iterate(from, i -> i < all.size(), i -> i + every)
                .mapToObj(all::get)
                .toList();
    }

    /** Whether something was measured, and not only seen to work or not, that a sound panel does not show. */
    private static boolean isMeasured(FaultSearch end, StepRehearsal sound) {
        return end.seen().stream().anyMatch(one -> {
            Observation observation = one.look().observation();
            Found asSound = observation.at(sound.rest(one.look().situation()));
            return !(observation instanceof Glimpse) && !observation.accepts(asSound, one.found());
        });
    }

    /** The fault is always among the suspects, is measured and named at the end, and no look on the way does harm. */
    @ParameterizedTest
    @CsvSource({"Two-wire, IEC", "Fan, NORTH_AMERICAN"})
    void whatIsHiddenIsNamedInFewLooks(String sheet, Practice practice) {
        Assembly assembly = assembly(sheet);
        FaultHunt hunt = new FaultHunt(assembly, practice, FaultSearch.Knowledge.NONE);
        StepRehearsal sound = new StepRehearsal(assembly, List.of());
        double looks = 0;
        double bound = 0;
        for (Fault fault : some(assembly, 3, 31)) {
            Optional<FaultHunt.Hunted> came = hunt.hunt(List.of(fault));
            if (came.isPresent()) {
                assertThat(came.get().names(List.of(fault)))
                        .as("%s: %s", fault.words(), came.get().end().verdict())
                        .isTrue();
                assertThat(came.get().end().fitting()).contains(Suspect.of(fault));
                assertThat(isMeasured(came.get().end(), sound))
                        .as("%s is measured, not only left over", fault.words())
                        .isTrue();
                assertThat(came.get().harmful()).as(fault.words()).isEmpty();
                assertThat(came.get().looks()).as(fault.words()).isLessThan(12);
                looks += came.get().looks();
                bound += Math.log(came.get().fitting()) / LOG_2;
            }
        }
        assertThat(bound).isPositive();
        assertThat(looks).isLessThan(1.5 * bound);
    }

    /** One reading in ten is wrong, and the search was told that they may be. */
    @Test
    void aWrongReadingLeadsNobodyAstrayForLong() {
        Assembly assembly = assembly("Two-wire");
        FaultHunt hunt = new FaultHunt(assembly, Practice.IEC, new FaultSearch.Knowledge(false, Map.of(), 0.1));
        Random chance = new Random(11);
        int hunts = 0;
        int named = 0;
        for (Fault fault : some(assembly, 0, 17)) {
            Optional<FaultHunt.Hunted> came = hunt.hunt(List.of(fault), Optional.of(chance));
            if (came.isPresent()) {
                hunts++;
                named += came.get().names(List.of(fault)) ? 1 : 0;
            }
        }
        assertThat(hunts).isGreaterThan(5);
        assertThat(named).isGreaterThanOrEqualTo((int) Math.ceil(0.9 * hunts));
    }
}
