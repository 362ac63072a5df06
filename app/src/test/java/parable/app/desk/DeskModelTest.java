package parable.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.app.job.JobModel;
import parable.circuit.Circuit;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.desk.DeskStroke;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** What is typed at the desk, on the ladder of the wash pump: {@code L F2 @3 S4 @4 S0 @5 S2 @6 S1 @7 (K1) N}, and what holds K1 in. */
class DeskModelTest {

    private final Job job = Library.jobs().get(0);
    private final JobModel jobs = new JobModel(job, Optional.empty());
    private final DeskModel desk = new DeskModel(jobs, "Wash pump", DeskModelTest::fitted);
    private final Sheet before = desk.sheet();

    private static Assembly fitted() {
        try {
            return Assembly.of(Library.jobs().get(0).sheet("Wash pump").orElseThrow());
        } catch (PartException impossible) {
            throw new AssertionError(impossible);
        }
    }

    /** Types a line with something on the first rung selected; returns whether it was taken. */
    private boolean type(int item, DeskStroke stroke, String line) {
        desk.select(new Place(Circuit.CONTROL, 0, item));
        desk.strokeProperty().set(stroke);
        desk.lineProperty().set(line);
        return desk.commit();
    }

    private List<String> changedRungs() {
        return desk.sheet().control().stream()
                .filter(rung -> !before.control().contains(rung))
                .map(Rung::text)
                .toList();
    }

    private String setting(String tag, String name) {
        return desk.sheet().devices().stream()
                .filter(device -> device.tag().equals(tag))
                .findFirst()
                .flatMap(device -> device.setting(name))
                .orElse("");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    3 | BEFORE | S9 | L F2[95-96] @3 S9[13-14] @10 S4[11-12] @4 S0[11-12] @5
                    3 | BEFORE | /S9 | L F2[95-96] @3 S9[11-12] @10 S4[11-12] @4 S0[11-12] @5
                    3 | AFTER | S9 | L F2[95-96] @3 S4[11-12] @10 S9[13-14] @4 S0[11-12] @5
                    3 | EXCHANGE | S9 | L F2[95-96] @3 S9[13-14] @4 S0[11-12] @5
                    3 | EXCHANGE | /K1 | L F2[95-96] @3 K1[31-32] @4 S0[11-12] @5
                    1 | BEFORE | K1[93-94] | L K1[93-94] @10 F2[95-96] @3
                    1 | BEFORE | (K1) | L K1[A1-A2] @10 F2[95-96] @3
                    1 | BEFORE | K7:timer | L K7[15-18] @10 F2[95-96] @3
                    5 | AROUND | S9 | @4 S9[13-14] @5
                    5 | BRANCH | (P9) | @5 P9[X1-X2] N
                    1 | NEW_RUNG | L /S9 (K9) N ; by hand | L S9[11-12] @10 K9[A1-A2] N ; by hand
                    1 | RUNG | L S1 (K1) N | L S1[13-14] @3 K1[A1-A2] N
                    1 | NEW_RUNG | L S1 Q7 N | L S1[23-24] @10 Q7[13-14] N
                    """)
    void aDeviceOrARungStandsWhereItWasPutAndNothingElseChanges(
            int item, DeskStroke stroke, String line, String expected) {
        assertThat(type(item, stroke, line)).isTrue();

        assertThat(changedRungs()).singleElement().asString().startsWith(expected);
        int added = stroke == DeskStroke.AROUND || stroke == DeskStroke.BRANCH || stroke == DeskStroke.NEW_RUNG ? 1 : 0;
        assertThat(desk.sheet().control()).hasSize(before.control().size() + added);
        assertThat(desk.sheet().power()).isEqualTo(before.power());
        desk.undo();
        assertThat(jobs.jobProperty().get()).isEqualTo(job);
    }

    @Test
    void aContactBeyondThoseOfItsDeviceIsFitted() {
        assertThat(setting("K1", "aux")).isEqualTo("13-14 21-22");
        type(3, DeskStroke.EXCHANGE, "/K1");
        assertThat(setting("K1", "aux")).isEqualTo("13-14 21-22 31-32");
        type(1, DeskStroke.NEW_RUNG, "L S1 (P1) N");
        assertThat(setting("S1", "blocks")).isEqualTo("13-14 23-24");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    BEFORE | S9 S8 | the line: found 'S9 S8', expected one device, such as S1, /S1 or (K1)
                    BEFORE | Z9 | Z9: found a tag that the sheet does not list, expected a device of the sheet, or its kind
                    NEW_RUNG | L S1 (K1 | the rung: found '(K1', expected a rail, @point, S1, /S0, (K1) or a device with
                    NEW_RUNG | rename K1 F2 | K1: found F2, expected a tag of letters and digits that no other device has
                    NEW_RUNG | rename K9 K5 | Wash pump: found K9, expected a device of the sheet
                    NEW_RUNG | wire 7 6 | wire 7: found '6', expected a number of letters and digits that no other wire has
                    NEW_RUNG | find nothing | Wash pump: found nothing called nothing, expected a tag, a wire number or a word
                    NEW_RUNG | power reversing | Wash pump: found a power circuit, expected none before one is put on it
                    """)
    void whatMakesNoSenseIsToldAndChangesNothing(DeskStroke stroke, String line, String told) {
        desk.select(new Place(Circuit.CONTROL, 0, 1));
        desk.strokeProperty().set(stroke);
        desk.lineProperty().set(line);

        assertThat(desk.previewProperty().get().words()).startsWith(told);
        assertThat(desk.commit()).isFalse();
        assertThat(jobs.jobProperty().get()).isEqualTo(job);
        assertThat(desk.lineProperty().get()).as("it stays to be mended").isEqualTo(line);
    }

    @Test
    void aSearchGoesFromPlaceToPlaceAndRoundAgain() {
        type(0, DeskStroke.NEW_RUNG, "find K1");
        String first = desk.selection().words();
        assertThat(first).isEqualTo("Rung 1 of the ladder: K1[A1-A2]");
        for (String next : List.of("Rung 3 of the ladder: K1[13-14]", "Rung 5 of the ladder: K1[21-22]")) {
            desk.lineProperty().set("find K1");
            desk.commit();
            assertThat(desk.selection().words()).isEqualTo(next);
        }
        for (int pole = 0; pole < 4; pole++) {
            desk.lineProperty().set("find K1");
            desk.commit();
        }
        assertThat(desk.selection().words()).isEqualTo(first);
        assertThat(jobs.undoableProperty().get()).isFalse();
    }

    @Test
    void whatIsSelectedIsTakenTurnedAndMoved() {
        Place stop = new Place(Circuit.CONTROL, 0, 5);
        desk.select(stop);
        desk.take();
        assertThat(changedRungs()).singleElement().asString().contains("@4 S2[11-12] @6");
        desk.undo();

        desk.select(stop);
        desk.invert();
        assertThat(changedRungs()).singleElement().asString().contains("@4 S0[23-24] @5");
        desk.undo();

        desk.select(stop);
        desk.moveDevice(1);
        assertThat(changedRungs()).singleElement().asString().contains("@4 S2[11-12] @5 S0[11-12] @6");
        assertThat(desk.selection().words()).contains("S0[11-12]");
        desk.undo();

        desk.select(stop);
        desk.moveRung(1);
        assertThat(desk.sheet().control().get(1)).isEqualTo(before.control().get(0));
        assertThat(desk.selection().words()).isEqualTo("Rung 2 of the ladder: S0[11-12]");
        desk.undo();

        desk.select(stop);
        desk.moveRung(-1);
        assertThat(desk.sheet()).isEqualTo(before);
    }

    @Test
    void whatIsWrittenOfADeviceIsTakenOrRefusedWithTheReason() {
        var stop = before.devices().stream()
                .filter(device -> device.tag().equals("S0"))
                .findFirst()
                .orElseThrow();

        assertThat(desk.describe(stop, "Halt; blocks=11-12 21-22; colour=red; place=door"))
                .isEmpty();
        assertThat(setting("S0", "blocks")).isEqualTo("11-12 21-22");
        assertThat(desk.describe(stop, "Halt; blocks=11; place=door"))
                .get()
                .asString()
                .contains("S0");
        assertThat(desk.describe(stop, "Halt; blocks=13-14; place=door"))
                .as("a rung still goes through 11-12")
                .isPresent();
        assertThat(setting("S0", "blocks")).isEqualTo("11-12 21-22");
    }
}
