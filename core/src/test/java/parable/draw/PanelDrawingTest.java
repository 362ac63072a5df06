package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.starters.Library;
import parable.wiring.PanelLayout;
import parable.wiring.Wire;
import parable.wiring.WireList;

class PanelDrawingTest {

    static Stream<Sheet> sheets() {
        return Share.oneIn(2, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    private static Drawing drawing(Assembly assembly, String place, PanelSide side, Optional<Wire> wire) {
        return PanelDrawing.of(assembly, PanelLayout.of(assembly), place, side, wire);
    }

    /** Every terminal of a sheet is seen from just one side of just one place, inside the frame, none on top of another. */
    @ParameterizedTest
    @MethodSource("sheets")
    void everyTerminalIsSeenOnce(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        Set<Terminal> seen = new HashSet<>();
        for (String place : PanelLayout.of(assembly).places()) {
            for (PanelSide side : PanelDrawing.sides(place)) {
                Drawing drawing = drawing(assembly, place, side, Optional.empty());
                Set<Point> points = new HashSet<>();
                drawing.marks().stream()
                        .filter(Mark.TerminalSpot.class::isInstance)
                        .map(Mark.TerminalSpot.class::cast)
                        .forEach(spot -> {
                            assertThat(seen.add(spot.terminal())).isTrue();
                            assertThat(points.add(spot.at())).isTrue();
                            assertThat(spot.at().x()).isBetween(0.0, drawing.width());
                            assertThat(spot.at().y()).isBetween(0.0, drawing.height());
                        });
            }
        }
        assembly.parts().forEach(part -> part.terminals()
                .forEach(marking -> assertThat(seen).contains(new Terminal(part.tag(), marking))));
    }

    @Test
    void theBackIsTheMirrorOfTheFront() {
        Assembly assembly = Examples.fitted(Examples.ofLibrary("Wash pump"));
        PanelLayout layout = PanelLayout.of(assembly);
        double widest = layout.in("door").values().stream()
                .mapToDouble(room -> room.right())
                .max()
                .orElseThrow();
        for (String tag : layout.in("door").keySet()) {
            Box front = PanelDrawing.boxOf(layout, "door", PanelSide.FRONT, tag).orElseThrow();
            Box back = PanelDrawing.boxOf(layout, "door", PanelSide.BACK, tag).orElseThrow();
            Box whole =
                    PanelDrawing.boxOf(layout, "door", PanelSide.FRONT, "S4").orElseThrow();
            assertThat(back.y()).isEqualTo(front.y());
            assertThat(front.x() - whole.x() + back.x() - whole.x() + front.width())
                    .isCloseTo(widest * PanelDrawing.SCALE, within(1e-9));
        }
    }

    /** A wire is shown from screw to screw, or from a screw to the edge with where it goes. */
    @ParameterizedTest
    @MethodSource("sheets")
    void everyWireIsShownAtBothItsEnds(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        PanelLayout layout = PanelLayout.of(assembly);
        for (Wire wire : WireList.of(assembly, Practice.IEC).wires()) {
            for (Terminal end : List.of(wire.from(), wire.to())) {
                String place = layout.place(end.tag());
                Drawing drawing = drawing(assembly, place, PanelDrawing.wiredFrom(place), Optional.of(wire));
                Point screw = drawing.pointAt(end).orElseThrow();
                assertThat(drawing.marks())
                        .filteredOn(Mark.Junction.class::isInstance)
                        .extracting(mark -> ((Mark.Junction) mark).at())
                        .contains(screw);
                assertThat(drawing.marks())
                        .filteredOn(Mark.Text.class::isInstance)
                        .filteredOn(mark -> ((Mark.Text) mark).text().equals(wire.route()))
                        .hasSize(wire.crosses() ? 1 : 0);
            }
        }
    }
}
