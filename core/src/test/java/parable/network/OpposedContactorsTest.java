package parable.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** Opponents read off the power circuit, against hands that push armatures in on the bench. */
class OpposedContactorsTest {

    /** Sheets without direct current on a motor, which is a disaster without being a short circuit, and on one supply. */
    static Stream<Sheet> sheets() {
        return Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(sheet -> sheet.devices().stream()
                        .noneMatch(device -> device.kind().equals("rectifier")
                                || device.kind().equals("mechanical-interlock")))
                .filter(sheet -> sheet.devices().stream()
                                .filter(device -> device.kind().endsWith("-supply"))
                                .count()
                        == 1);
    }

    private static boolean shorts(Assembly assembly, Set<String> pushed) throws ActionRefusedException {
        Bench bench = Bench.of(assembly);
        for (Part part : assembly.parts()) {
            if (part.drive().verbs().containsKey(Verb.CLOSE)) {
                bench.act(new Action(Verb.CLOSE, part.tag()));
            }
        }
        bench.runUntil(1_000_000);
        for (String tag : pushed) {
            bench.act(new Action(Verb.PUSH, tag));
        }
        bench.runUntil(1_060_000);
        return bench.instants().stream()
                .anyMatch(instant -> bench.momentAt(instant).shorted());
    }

    private static List<String> contactors(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR)
                .map(Part::tag)
                .toList();
    }

    /** Each pair with none and with each one of the others. */
    private static List<Set<String>> around(List<String> contactors, String one, String other) {
        List<Set<String>> sets = new ArrayList<>(List.of(new TreeSet<>(Set.of(one, other))));
        for (String third : contactors) {
            if (!third.equals(one) && !third.equals(other)) {
                sets.add(new TreeSet<>(Set.of(one, other, third)));
            }
        }
        return sets;
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void twoAreOpponentsJustIfTheirArmaturesPushedInShortSomething(Sheet sheet) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet.withProgram(sheet.program()));
        List<String> contactors = contactors(assembly);
        List<OpposedContactors.Pair> expected = new ArrayList<>();
        for (int i = 0; i < contactors.size(); i++) {
            for (int j = i + 1; j < contactors.size(); j++) {
                String one = contactors.get(i);
                String other = contactors.get(j);
                boolean opposed = false;
                for (Set<String> in : around(contactors, one, other)) {
                    Set<String> withoutOne = new TreeSet<>(in);
                    withoutOne.remove(one);
                    Set<String> withoutOther = new TreeSet<>(in);
                    withoutOther.remove(other);
                    opposed |= shorts(assembly, in) && !shorts(assembly, withoutOne) && !shorts(assembly, withoutOther);
                }
                if (opposed) {
                    expected.add(new OpposedContactors.Pair(one, other));
                }
            }
        }

        assertThat(OpposedContactors.of(assembly)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, ''",
        "Mill, KY KD",
        "Press platen, K1 K2",
        "Juice separator, K1 K2",
        "Timed brake, K1 K2",
        "Compressor, S 2M",
        "Crusher, F R",
        "Supplies joined, ''",
    })
    void theOpponentsOfKnownStarters(String sheet, String pairs) {
        assertThat(OpposedContactors.of(Examples.fitted(Examples.ofLibrary(sheet))))
                .extracting(pair -> pair.one() + " " + pair.other())
                .containsExactlyElementsOf(pairs.isEmpty() ? List.of() : List.of(pairs));
    }
}
