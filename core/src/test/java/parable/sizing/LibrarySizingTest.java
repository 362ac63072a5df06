package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Stated;
import parable.drafting.Dress;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingTables;
import parable.starters.Library;
import parable.wiring.WireList;

/** The library against its own sizing, and what is done to it to make it differ. */
class LibrarySizingTest {

    static Stream<Job> jobs() {
        return Library.jobs().stream()
                .flatMap(job -> Stream.of(Practice.values()).map(practice -> Dress.of(job, practice)));
    }

    static JobSizing sized(Job job) throws PartException {
        List<SheetFacts> facts = new ArrayList<>();
        for (Sheet sheet : job.sheets()) {
            facts.add(SheetFacts.drawn(sheet, job.practice(), JobTables.SHIPPED));
        }
        return JobSizing.of(job, facts, RatingTables.of(job.practice()));
    }

    @ParameterizedTest
    @MethodSource("jobs")
    void everySheetIsAsItIsSizedInBothPractices(Job job) throws PartException {
        JobSizing sizing = sized(job);

        assertThat(sizing.problem()).isEmpty();
        assertThat(sizing.sheets()).hasSameSizeAs(job.sheets()).allSatisfy(sheet -> {
            assertThat(sheet.problems()).as(sheet.sheet()).isEmpty();
            assertThat(sheet.differences().stream()
                            .filter(one -> one.sort() == DrawingDifference.Sort.DIFFERS
                                    || job.equals(Dress.of(job, job.practice())))
                            .filter(one -> one.sort() == DrawingDifference.Sort.DIFFERS)
                            .map(DrawingDifference::words))
                    .as(sheet.sheet())
                    .isEmpty();
        });
    }

    /** In its own practice nothing is left unsaid either. */
    @Test
    void everyContactorThatSwitchesAMotorSaysWhatItIsRated() throws PartException {
        for (Job job : Library.jobs()) {
            assertThat(sized(job).sheets())
                    .flatExtracting(SheetSizing::differences)
                    .extracting(DrawingDifference::words)
                    .as(job.name())
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, F2, setting, 6 A, overload setting",
        "Wash pump, F2, setting, 4 A, overload setting",
        "Wash pump, Q1, rated, 6.3 A, ''",
        "Wash pump, Q1, rated, 4 A, breaker",
        "Wash pump, Q1, rated, 63 A, breaker",
        "Wash pump, K1, rated, 4 A, contactor",
        "Wash pump, K1, rated, '', rated current",
        "Wash pump, T1, rated, 25 VA, control transformer",
        "Wash pump, F4, rated, 4 A, secondary fuse",
        "Wash pump, F1, rated, 4 A, primary fuse",
        "Pomace auger, K1, rated, 9 A, contactor",
        "Press platen, K2, rated, 4 A, contactor",
        "Mill, F2, setting, 35 A, overload setting",
        "Mill, KY, rated, 9 A, contactor",
        "Mill, KT, setting, 3 s, time in star",
        "Mill, KT, setting, 60 s, time in star",
        "24 V DC, G2, rated, 0.1 A, DC supply",
        "Bottle rinser, G2, rated, 0.1 A, DC supply",
        "Juice separator, R1, resistance, 5 ohm, brake resistor",
        "Juice separator, R1, power, 50 W, power of the brake resistor",
        "Crusher, F, rated, 27 A, contactor",
        "Glycol pump, OL, setting, 9.5 A, overload setting",
        "Glycol pump, CB1, rated, 40 A, breaker",
        "Glycol pump, FU3, rated, 4 A, secondary fuse"
    })
    void whatDiffersIsFoundAndTakenOver(String name, String tag, String setting, String value, String what)
            throws PartException {
        Job job = Library.jobs().stream()
                .filter(one -> one.sheet(name).isPresent())
                .findFirst()
                .orElseThrow();
        Sheet spoilt = job.sheet(name)
                .orElseThrow()
                .withDevices(job.sheet(name).orElseThrow().devices().stream()
                        .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                        .toList());

        List<DrawingDifference> found = differences(spoilt, job.practice());
        if (what.isEmpty()) {
            assertThat(found).isEmpty();
            return;
        }
        assertThat(found).extracting(DrawingDifference::tag).contains(tag);
        assertThat(found).extracting(DrawingDifference::what).contains(what);
        Sheet mended = spoilt;
        for (DrawingDifference difference : found) {
            mended = difference.takeOver().on(mended);
        }
        List<DrawingDifference> then = differences(mended, job.practice());
        assertThat(then).as("a smaller transformer takes smaller fuses").allMatch(one -> tag.equals("T1"));
        for (DrawingDifference difference : then) {
            mended = difference.takeOver().on(mended);
        }
        assertThat(differences(mended, job.practice())).isEmpty();
    }

    private static List<DrawingDifference> differences(Sheet sheet, Practice practice) throws PartException {
        return SheetSizing.of(SheetFacts.drawn(sheet, practice, JobTables.SHIPPED), practice, RatingTables.of(practice))
                .differences();
    }

    /** What is given here and drawn otherwise is to be taken over, or the bench would run another motor. */
    @ParameterizedTest
    @CsvSource({
        "Wash pump, nameplate, 5.2 A, M1, current",
        "Wash pump, power, 3 kW, M1, power",
        "Wash pump, load, 60 %, M1, load",
        "Wash pump, run-up, 2 s, M1, run-up",
        "Wash pump, drives, conveyor, M1, drives",
        "Wash pump, class, 20, F2, class",
        "Wash pump, curve, C, Q1, curve",
        "Wash pump, length, 12 m, '', ''",
        "Wash pump, curve, gG, '', ''",
        "Wash pump, nameplate, 4.9 A, '', ''"
    })
    void whatIsGivenAndDrawnOtherwiseIsTakenOver(String name, String key, String value, String tag, String setting)
            throws PartException {
        Sheet given = Examples.ofLibrary(name).withStated(List.of(new Stated("M1", key, value)));
        List<DrawingDifference> found = differences(given, Practice.IEC).stream()
                .filter(one -> one.why().startsWith("It is given"))
                .toList();
        if (tag.isEmpty()) {
            assertThat(found).isEmpty();
            return;
        }
        assertThat(found).singleElement().satisfies(one -> assertThat(one.tag()).isEqualTo(tag));
        Sheet taken = found.get(0).takeOver().on(given);
        assertThat(taken.device(tag).orElseThrow().setting(setting)).contains(value);
        assertThat(differences(taken, Practice.IEC)).noneMatch(one -> one.why().startsWith("It is given"));
    }

    /** A long run in a hot place takes a thicker wire; once that is taken over the wire list has it. */
    @Test
    void theWireListTakesTheWireThatIsSized() throws PartException {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet hot = pump.withStated(List.of(
                new Stated("M1", "ambient", "60 °C"),
                new Stated("M1", "grouped", "9"),
                new Stated("M1", "length", "60 m")));

        List<DrawingDifference> found = differences(hot, Practice.IEC);
        assertThat(found).extracting(DrawingDifference::what).containsExactly("wire of the motor");
        Sheet mended = found.get(0).takeOver().on(hot);
        assertThat(differences(mended, Practice.IEC)).isEmpty();
        assertThat(WireList.of(Examples.fitted(mended), Practice.IEC).wires())
                .filteredOn(wire ->
                        wire.to().tag().equals("M1") || wire.from().tag().equals("M1"))
                .filteredOn(wire -> !wire.conductor().isProtective())
                .isNotEmpty()
                .allSatisfy(wire -> assertThat(wire.conductor().size()).isEqualTo("2.5 mm²"));
    }

    /** What is on together is what can be: star and delta are never both in, forward and reverse neither. */
    @Test
    void whatIsOnTogetherComesFromTheCircuit() throws PartException {
        Sheet mill = Examples.ofLibrary("Mill");
        SheetFacts explored = SheetFacts.explored(mill, Practice.IEC, JobTables.SHIPPED, Progress.UNWATCHED);
        SheetSizing sized = SheetSizing.of(explored, Practice.IEC, RatingTables.of(Practice.IEC));

        assertThat(explored.together().explored()).isTrue();
        assertThat(sized.losses()).containsKeys("KM", "KD").doesNotContainKey("KY");
        SheetSizing drawn = SheetSizing.of(
                SheetFacts.drawn(mill, Practice.IEC, JobTables.SHIPPED), Practice.IEC, RatingTables.of(Practice.IEC));
        assertThat(drawn.losses()).containsKeys("KM", "KD", "KY");
    }
}
