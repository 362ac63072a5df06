package parable.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import parable.bench.Progress;
import parable.check.Check;
import parable.check.Severity;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.drafting.TypedRung;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;
import parable.starters.Library;

/** Every single contact of every good starter taken out, turned round, bridged, or given to another device: is it told apart? */
class MutationTest {

    private static final String BAD = "Tern Hollow bad examples";

    /** A circuit that differs in one contact. */
    private record Mutant(String words, Sheet sheet) {}

    @Test
    @Tag("long")
    void ofAllMutantsOfTheLibraryNinetyNineInAHundredAreToldApart() throws Exception {
        List<String> survivors = new ArrayList<>();
        int mutants = 0;
        for (Sheet sheet : goodSheets().toList()) {
            Set<String> whole = told(sheet);
            for (Mutant mutant : mutants(sheet)) {
                mutants++;
                if (isTheSame(whole, mutant.sheet())) {
                    survivors.add(sheet.name() + ": " + mutant.words());
                }
            }
        }
        System.out.println("Mutants: " + mutants + ", told apart: " + (mutants - survivors.size()));
        survivors.forEach(survivor -> System.out.println("Survives: " + survivor));
        assertThat(survivors.size()).isLessThanOrEqualTo(mutants / 100);
    }

    /** The same on the smaller starters, each with every seventh mutant. */
    @Test
    void ofSomeMutantsNineteenInTwentyAreToldApart() throws Exception {
        List<String> survivors = new ArrayList<>();
        int tried = 0;
        for (String name : List.of("Wash pump", "Press platen", "Pomace auger", "Jog relay", "Timed brake", "Fan")) {
            Sheet sheet = goodSheets()
                    .filter(one -> one.name().equals(name))
                    .findFirst()
                    .orElseThrow();
            Set<String> whole = told(sheet);
            List<Mutant> mutants = mutants(sheet);
            for (int i = 0; i < mutants.size(); i += 7) {
                tried++;
                if (isTheSame(whole, mutants.get(i).sheet())) {
                    survivors.add(name + ": " + mutants.get(i).words());
                }
            }
        }
        assertThat(tried).isGreaterThan(20);
        assertThat(survivors.size()).as(survivors.toString()).isLessThanOrEqualTo(tried / 20);
    }

    private static Stream<Sheet> goodSheets() {
        return Library.jobs().stream().filter(job -> !job.name().equals(BAD)).flatMap(job -> job.sheets().stream());
    }

    private static boolean isTheSame(Set<String> whole, Sheet mutant) throws PartException {
        return found(mutant).equals(foundIn(whole)) && told(mutant).equals(whole);
    }

    private static Set<String> foundIn(Set<String> told) {
        return told.stream().filter(line -> line.startsWith("rule ")).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<String> found(Sheet sheet) throws PartException {
        return Check.of(Assembly.of(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(finding -> "rule " + finding.code() + " " + finding.where())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Set<String> told(Sheet sheet) throws PartException {
        Set<String> told = found(sheet);
        Proof.of(Assembly.of(sheet), Proof.Timing.WITHIN_TIMES, Progress.UNWATCHED)
                .claims()
                .forEach(claim -> told.add(claim.id() + " " + claim.text() + " " + claim.verdict()));
        return told;
    }

    private static List<Mutant> mutants(Sheet sheet) throws PartException {
        Assembly assembly = Assembly.of(sheet);
        List<Mutant> mutants = new ArrayList<>();
        for (Circuit circuit : Circuit.values()) {
            List<Rung> rungs = sheet.rungs(circuit);
            for (int r = 0; r < rungs.size(); r++) {
                for (int i = 0; i < rungs.get(r).items().size(); i++) {
                    if (rungs.get(r).items().get(i) instanceof RungItem.Passage passage
                            && isSwitching(assembly, passage, circuit)) {
                        add(mutants, assembly, new Place(circuit, r, i), passage);
                    }
                }
            }
        }
        return mutants;
    }

    private static boolean isSwitching(Assembly assembly, RungItem.Passage passage, Circuit circuit) {
        Part part = assembly.part(passage.tag()).orElseThrow();
        Optional<Contact> contact =
                part.contactBetween(passage.from(), passage.to()).map(part.contacts()::get);
        boolean pole = circuit == Circuit.POWER && part.family() == Family.CONTACTOR;
        return contact.filter(one -> !one.isThroughPath() && (pole || !one.pole()))
                .isPresent();
    }

    private static void add(List<Mutant> mutants, Assembly assembly, Place place, RungItem.Passage passage) {
        Sheet sheet = assembly.sheet();
        Part part = assembly.part(passage.tag()).orElseThrow();
        boolean closed = part.contacts()
                .get(part.contactBetween(passage.from(), passage.to()).orElseThrow())
                .isNormallyClosed();
        String where = passage.text() + " on " + place.circuit() + " rung " + (place.rung() + 1);
        fitted(where + " bridged", () -> Structure.taken(sheet, place), mutants);
        fitted(where + " taken out", () -> cut(sheet, place), mutants);
        if (place.circuit() == Circuit.CONTROL) {
            fitted(where + " turned round", () -> rewritten(sheet, place, closed ? "%s" : "/%s", part.tag()), mutants);
            other(assembly, part)
                    .ifPresent(tag -> fitted(
                            where + " given to " + tag,
                            () -> rewritten(sheet, place, closed ? "/%s" : "%s", tag),
                            mutants));
        }
    }

    /** The next device of the same kind, empty if there is none. */
    private static Optional<String> other(Assembly assembly, Part part) {
        List<Part> alike = assembly.parts().stream()
                .filter(one -> one.family() == part.family())
                .toList();
        int next = (alike.indexOf(part) + 1) % alike.size();
        return alike.size() < 2 ? Optional.empty() : Optional.of(alike.get(next).tag());
    }

    /** Makes a changed sheet. */
    private interface Change {
        Sheet make() throws Exception;
    }

    private static void fitted(String words, Change change, List<Mutant> mutants) {
        try {
            Sheet changed = change.make();
            Assembly.of(changed);
            mutants.add(new Mutant(words, changed));
        } catch (Exception impossible) {
            // A device that has no such contact left cannot be given it; that mutant does not exist.
            assertThat(impossible.getMessage()).isNotBlank();
        }
    }

    /** The sheet with the rung cut where something stood. */
    static Sheet cut(Sheet sheet, Place place) throws EditException {
        List<RungItem> items = sheet.rungs(place.circuit()).get(place.rung()).items();
        Sheet changed = new Edit.TakeRung(place.circuit(), place.rung()).on(sheet);
        for (List<RungItem> part :
                List.of(items.subList(place.item() + 1, items.size()), items.subList(0, place.item()))) {
            if (part.stream().anyMatch(RungItem.Passage.class::isInstance) && part.size() > 1) {
                changed = new Edit.InsertRung(place.circuit(), place.rung(), new Rung(part, "")).on(changed);
            }
        }
        return changed;
    }

    private static Sheet rewritten(Sheet sheet, Place place, String pattern, String tag) throws Exception {
        List<RungItem> items = sheet.rungs(place.circuit()).get(place.rung()).items();
        UnaryOperator<String> word = text -> String.format(pattern, tag);
        String text = IntStream.range(0, items.size())
                .mapToObj(i -> i == place.item() ? word.apply("") : items.get(i).text())
                .collect(Collectors.joining(" "));
        Sheet without = new Edit.TakeRung(place.circuit(), place.rung()).on(sheet);
        TypedRung typed = TypedRung.read(text, without, "230 V AC");
        return new Edit.InsertRung(place.circuit(), place.rung(), typed.rung()).on(typed.sheet());
    }
}
