package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** The drawing of a sheet that was edited, and of one whose points have several names. */
class EditedLadderTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(5, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    /** Most of what is known of a sheet is taken over by an edit; nothing of it may be stale on the drawing. */
    @ParameterizedTest
    @MethodSource("sheets")
    void isDrawnAsIfItWereNew(Sheet sheet) throws PartException {
        Assembly edited = Examples.fitted(sheet);
        for (int rung = sheet.control().size() - 1; rung >= 0; rung--) {
            Sheet less;
            try {
                less = Structure.taken(edited.sheet(), new Place(Circuit.CONTROL, rung, 1));
            } catch (EditException notThere) {
                continue;
            }
            edited = edited.on(less);
            assertThat(SheetDrawing.of(edited, Practice.IEC).marks())
                    .as("%s without the first of rung %s", sheet.name(), rung)
                    .isEqualTo(SheetDrawing.of(Assembly.of(less), Practice.IEC).marks());
        }
    }

    /** What is seen of a drawing through a window is what is there, and no dot of it is missing or drawn twice. */
    @ParameterizedTest
    @MethodSource("sheets")
    void throughAWindowTheSameIsSeenAsOfTheWhole(Sheet sheet) {
        Drawing drawing = SheetDrawing.of(Examples.fitted(sheet), Practice.IEC);
        List<Mark.Junction> dots = dots(drawing.marks());

        assertThat(dots).doesNotHaveDuplicates();
        for (double top = 0; top < drawing.height(); top += 37) {
            double from = top;
            assertThat(dots(drawing.marksBetween(from, from + 90)))
                    .isEqualTo(dots.stream()
                            .filter(dot -> dot.reaches(from, from + 90))
                            .toList());
        }
    }

    private static List<Mark.Junction> dots(List<Mark> marks) {
        return marks.stream()
                .filter(Mark.Junction.class::isInstance)
                .map(Mark.Junction.class::cast)
                .toList();
    }

    /** A rung may join two numbers to one wire. A number that is on one rung only is a pointer, however often the wire is named otherwise. */
    @Test
    void aNumberOnOneRungOnlyIsAPointerAlsoWhereTheWireHasAnother() {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "S1", "kind": "push-button"}, {"tag": "K1", "kind": "contactor", "coil": "230 V AC"}
                """,
                "",
                """
                "L S1[13-14] @7", "@7 K1[A1-A2] N", "@7 @8"
                """);
        Drawing drawing = SheetDrawing.of(Examples.fitted(sheet), Practice.IEC);

        assertThat(drawing.marks().stream().filter(Mark.Text.class::isInstance).map(mark -> ((Mark.Text) mark).text()))
                .contains("to @8")
                .doesNotContain("to @7");
    }

    /** A copy of a contact on the same rung may be the very same object; it is pointed at where it is all the same. */
    @Test
    void whatIsOnARungTwiceHasTwoPlaces() {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "S1", "kind": "push-button"}, {"tag": "K1", "kind": "contactor", "coil": "230 V AC"}
                """,
                "",
                """
                "L S1[13-14] K1[A1-A2] N"
                """);
        List<RungItem> items = new ArrayList<>(sheet.control().get(0).items());
        items.add(2, items.get(1));
        Sheet twice = sheet.withRungs(Circuit.CONTROL, List.of(new Rung(items, "")));
        Drawing drawing = SheetDrawing.of(Examples.fitted(twice), Practice.IEC);

        Box first = drawing.boxOf(new Place(Circuit.CONTROL, 0, 1)).orElseThrow();
        Box second = drawing.boxOf(new Place(Circuit.CONTROL, 0, 2)).orElseThrow();
        assertThat(second.x()).isGreaterThan(first.x());
        assertThat(drawing.placeAt(second.x() + 1, second.y() + 1)).hasValue(new Place(Circuit.CONTROL, 0, 2));
    }
}
