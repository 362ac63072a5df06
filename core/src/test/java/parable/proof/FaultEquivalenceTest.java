package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.Share;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;

class FaultEquivalenceTest {

    @ParameterizedTest
    @CsvSource({
        "burnt K1 13-14, off K1:13, true",
        "burnt K1 13-14, off K1:14, true",
        "burnt K1 13-14, welded K1 13-14, false",
        "burnt K1 13-14, burnt S1 13-14, false",
        "broken K1, off K1:A1, true",
        "broken K1, stuck K1, false",
        "burnt K1 1-2, off F2:1, true",
        "burnt K1 1-2, burnt K1 3-4, false",
        "burnt S4 11-12, burnt S0 11-12, true",
        "off P1:X1, off K1:14, false",
        "earthed K1:14, earthed S1:14, true",
        "earthed K1:14, earthed K1:13, false",
        "earthed K1:A1, earthed K1:13, false",
        "earthed M1:U1, earthed F2:2, false"
    })
    void faultsAreOneWhereTheyLeaveTheSameCircuit(String one, String other, boolean same) throws Exception {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));

        List<List<Fault>> classes = FaultEquivalence.classes(pump, possibleIn(pump));

        assertThat(classes)
                .filteredOn(all -> all.contains(fault(one)))
                .singleElement()
                .satisfies(all -> assertThat(all.contains(fault(other))).isEqualTo(same));
        assertThat(classes).anySatisfy(all -> assertThat(all).contains(fault(other)));
    }

    /** The circuit is worked out for each fault of a class in every way in which the contacts may be. */
    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Press platen", "Juice separator", "Mill"})
    void allOfAClassMakeTheSameOfEveryState(String sheet) throws Exception {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));
        Explorer explorer = new Explorer(CircuitMachine.untimed(assembly, List.of()), Progress.UNWATCHED);
        explorer.explore();
        long[] states = LongStream.of(explorer.oneOfEachWay().toArray())
                .limit(Share.oneIn(3, 300))
                .toArray();
        List<Fault> all = possibleIn(assembly);

        List<List<Fault>> classes = FaultEquivalence.classes(assembly, all);

        assertThat(classes.stream().mapToInt(List::size).sum()).isEqualTo(all.size());
        assertThat(classes.size()).isLessThan(all.size() * 9 / 10);
        for (List<Fault> same : classes) {
            CircuitMachine first = CircuitMachine.untimed(assembly, same.subList(0, 1));
            for (Fault fault : same.subList(1, same.size())) {
                CircuitMachine other = CircuitMachine.untimed(assembly, List.of(fault));
                assertThat(LongStream.of(states)
                                .allMatch(state -> first.conduction(state).isLike(other.conduction(state))))
                        .describedAs("%s and %s", same.get(0).words(), fault.words())
                        .isTrue();
            }
        }
    }

    @Test
    void aRowIsPlayedWithItsOwnFault() throws Exception {
        List<FaultRow> rows = SingleFaults.of(Examples.fitted(Examples.ofLibrary("Wash pump")), Progress.UNWATCHED);

        assertThat(rows).allSatisfy(row -> assertThat(
                        row.refutation().orElseThrow().story().get(0))
                .contains(row.fault().words()));
    }

    private static List<Fault> possibleIn(Assembly assembly) {
        return assembly.parts().stream()
                .flatMap(part -> Fault.possibleIn(part).stream())
                .toList();
    }

    private static Fault fault(String words) {
        String[] parts = words.split(" ", 2);
        String[] place = parts[1].split("[ :]");
        return new Fault(Fault.Kind.ofWord(parts[0]).orElseThrow(), place[0], place.length == 1 ? "" : place[1]);
    }
}
