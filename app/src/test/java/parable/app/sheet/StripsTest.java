package parable.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import javafx.scene.canvas.GraphicsContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import parable.app.look.Ink;
import parable.bench.Action;
import parable.bench.Bench;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.draw.Drawing;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What is painted anew when something on the drawing looks otherwise. */
@ExtendWith(ApplicationExtension.class)
class StripsTest {

    private static final double WIDTH = 400;
    private static final double HEIGHT = 470;
    private static final List<Double> ALL =
            DoubleStream.of(0, 96, 192, 288, 384).boxed().toList();

    private final Strips strips = new Strips();

    /** Shows a picture; returns where it was painted. */
    private List<Double> shown(double width, Strips.Picture picture) {
        List<Double> painted = new ArrayList<>();
        strips.show(width, HEIGHT, new Strips.Picture() {
            @Override
            public Object look(double top, double bottom) {
                return picture.look(top, bottom);
            }

            @Override
            public void paint(GraphicsContext graphics, double top, double bottom) {
                painted.add(top);
                picture.paint(graphics, top, bottom);
            }
        });
        return painted;
    }

    private static SheetPicture picture(Bench bench, double down, Point... ends) {
        Drawing drawing = SheetDrawing.of(bench.assembly(), Practice.IEC);
        List<Terminal> at = ends.length == 0 ? List.of() : List.of(new Terminal("K1", "13"));
        return new SheetPicture(
                new Sight(bench.moment(), (fault, subject) -> false, Map.of()).of(drawing.marks()),
                new SheetPicture.Pointers(Map.of(), new Marked(List.of(), at), List.of(ends), Optional.empty()),
                new SheetPicture.Viewport(0.5, 0, down, Ink.DAYLIGHT));
    }

    private static Sheet pump() {
        return Library.jobs().get(0).sheets().get(0);
    }

    @Test
    void whatLooksTheSameIsNotPaintedAgain() throws Exception {
        Bench bench = Bench.of(Assembly.of(pump()));

        assertThat(shown(WIDTH, picture(bench, 0))).isEqualTo(ALL);
        assertThat(shown(WIDTH, picture(bench, 0))).isEmpty();
        assertThat(shown(WIDTH, picture(bench, 0, new Point(10, 10)))).isEqualTo(ALL);
        assertThat(shown(WIDTH, picture(bench, 40))).isEqualTo(ALL);
        assertThat(shown(WIDTH + 1, picture(bench, 40))).isEqualTo(ALL);
    }

    /** Other words on the last rung change nothing above it. */
    @Test
    void anEditIsPaintedWhereItIs() throws Exception {
        Sheet renamed = pump().withDevices(pump().devices().stream()
                .map(device -> device.tag().equals("P3") ? device.labelled("Overload") : device)
                .toList());
        shown(WIDTH, picture(Bench.of(Assembly.of(pump())), 0));

        assertThat(shown(WIDTH, picture(Bench.of(Assembly.of(renamed)), 0)))
                .isNotEmpty()
                .hasSizeLessThan(ALL.size())
                .doesNotContain(0.0);
    }

    /** The upper ends of the power circuit come live, and with them the rails, which reach all the way down. */
    @Test
    void whatComesLiveIsPaintedWhereverItReaches() throws Exception {
        Bench bench = Bench.of(Assembly.of(pump()));
        shown(WIDTH, picture(bench, 0));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(bench.now() + 100_000);

        assertThat(shown(WIDTH, picture(bench, 0))).contains(0.0, 96.0);
        assertThat(shown(WIDTH, picture(bench, 0))).isEmpty();
    }
}
