package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.check.Check;
import parable.check.Severity;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.starters.Library;

/** Taking out any one contact never takes out a requirement in silence: some other claim fails or some rule speaks. */
class RemovalTest {

    private static final String BAD = "Tern Hollow bad examples";

    /** Without its rectifier, or a fuse before that, the brake contactor joins nothing to anything: the two contactors are no opponents any more, and nothing brakes. */
    private static final String NO_BRAKE_LEFT =
            "(Juice separator|Timed brake) without (V1\\[~1-~2\\] .*|F[67]\\[1-2\\] .*|F[67]\\[2-1\\] .*|all of (V1|F6|F7)): \\[never-together:K1:K2\\]";

    private static Stream<Sheet> goodSheets() {
        return Library.jobs().stream().filter(job -> !job.name().equals(BAD)).flatMap(job -> job.sheets().stream());
    }

    @Test
    void onSomeStarters() {
        Set<String> some = Set.of("Press platen", "Juice separator", "Jog relay");
        assertThat(silent(goodSheets().filter(sheet -> some.contains(sheet.name())), 5))
                .isEmpty();
    }

    @Test
    @Tag("long")
    void onEveryStarterOfTheLibrary() {
        List<String> silent = silent(goodSheets(), 1);
        silent.forEach(one -> System.out.println("Silent: " + one));
        assertThat(silent).isEmpty();
    }

    private static List<String> silent(Stream<Sheet> sheets, int oneIn) {
        List<String> silent = new ArrayList<>();
        sheets.forEach(sheet -> {
            Set<String> whole = requirements(proofOf(sheet));
            Map<String, Sheet> removals = removals(sheet);
            List<String> tried = new ArrayList<>(removals.keySet());
            IntStream.range(0, tried.size())
                    .filter(i -> i % oneIn == 0)
                    .mapToObj(tried::get)
                    .forEach(words -> {
                        Sheet spoilt = removals.get(words);
                        Proof proof = proofOf(spoilt);
                        Set<String> gone = new TreeSet<>(whole);
                        gone.removeAll(requirements(proof));
                        boolean speaks = proof.claims().stream()
                                        .anyMatch(claim -> !claim.verdict().holds())
                                || Check.of(Examples.fitted(spoilt), ColourCode.EITHER).stream()
                                        .anyMatch(finding -> finding.severity() != Severity.NOTE);
                        if (!gone.isEmpty() && !speaks) {
                            String told = sheet.name() + " without " + words + ": " + gone;
                            if (!told.matches(NO_BRAKE_LEFT)) {
                                silent.add(told);
                            }
                        }
                    });
        });
        return silent;
    }

    /** Bounded as the program's own proofs are: what is not finished in a minute does not hold. */
    private static Proof proofOf(Sheet sheet) {
        long end = System.nanoTime() + TimeUnit.MINUTES.toNanos(1);
        return Proof.of(Examples.fitted(sheet), Proof.Timing.WITHIN_TIMES, states -> System.nanoTime() > end);
    }

    private static Set<String> requirements(Proof proof) {
        return proof.claims().stream()
                .filter(claim -> claim.sort() == Claim.Sort.REQUIREMENT)
                .map(Claim::id)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** The sheet with each contact, pole or load of each rung taken out and the gap closed, or the wire cut there; and without each device. */
    private static Map<String, Sheet> removals(Sheet sheet) {
        Map<String, Sheet> removals = new LinkedHashMap<>();
        for (Circuit circuit : Circuit.values()) {
            for (int rung = 0; rung < sheet.rungs(circuit).size(); rung++) {
                List<RungItem> items = sheet.rungs(circuit).get(rung).items();
                for (int i = 0; i < items.size(); i++) {
                    if (items.get(i) instanceof RungItem.Passage) {
                        String words = items.get(i).text() + " on " + circuit + " rung " + (rung + 1);
                        Place place = new Place(circuit, rung, i);
                        fitted(words, () -> Structure.taken(sheet, place), removals);
                        fitted(words + " with its wires", () -> MutationTest.cut(sheet, place), removals);
                    }
                }
            }
        }
        sheet.devices().stream()
                .filter(device -> device.kind().equals("mechanical-interlock"))
                .forEach(device -> removals.put(device.tag(), Examples.without(sheet, device.tag())));
        sheet.devices()
                .forEach(device -> fitted("all of " + device.tag(), () -> withoutAllOf(sheet, device.tag()), removals));
        return removals;
    }

    /** Every contact, pole and load of a device cut out. */
    private static Sheet withoutAllOf(Sheet sheet, String tag) throws Exception {
        Sheet left = sheet;
        Optional<Place> next = firstOf(left, tag);
        while (next.isPresent()) {
            left = MutationTest.cut(left, next.get());
            next = firstOf(left, tag);
        }
        return left;
    }

    private static Optional<Place> firstOf(Sheet sheet, String tag) {
        for (Circuit circuit : Circuit.values()) {
            for (int rung = 0; rung < sheet.rungs(circuit).size(); rung++) {
                List<RungItem> items = sheet.rungs(circuit).get(rung).items();
                for (int i = 0; i < items.size(); i++) {
                    if (items.get(i) instanceof RungItem.Passage passage
                            && passage.tag().equals(tag)) {
                        return Optional.of(new Place(circuit, rung, i));
                    }
                }
            }
        }
        return Optional.empty();
    }

    /** Makes a spoilt sheet. */
    private interface Spoiling {
        Sheet make() throws Exception;
    }

    /** What cannot be taken out, as the last thing on a rung, is left. */
    private static void fitted(String words, Spoiling spoiling, Map<String, Sheet> removals) {
        try {
            Sheet spoilt = spoiling.make();
            Examples.fitted(spoilt);
            removals.put(words, spoilt);
        } catch (Exception impossible) {
            assertThat(impossible.getMessage()).isNotBlank();
        }
    }
}
