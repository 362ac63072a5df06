package parable.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Rectangle2D;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.util.WaitForAsyncUtils;
import parable.app.look.Ink;
import parable.app.look.Typeface;
import parable.bench.Action;
import parable.bench.Bench;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.starters.Library;

/** What is painted anew when something on the drawing looks otherwise. */
@ExtendWith(ApplicationExtension.class)
class PatchesTest {

    private static final Box VIEW = new Box(0, 0, 520, 470);

    /** A rim of a curve may be rounded otherwise where it begins elsewhere. */
    private static final int ROUNDING = 64;

    private final Patches patches = new Patches();

    @BeforeAll
    static void loadFonts() {
        Typeface.load();
    }

    /** Shows a picture; returns where it was painted. */
    private List<Box> shown(Box view, Patches.Picture picture) {
        List<Box> painted = new ArrayList<>();
        patches.show(view, new Patches.Picture() {
            @Override
            public Object look(Box area) {
                return picture.look(area);
            }

            @Override
            public void paint(GraphicsContext graphics, Box area) {
                painted.add(area);
                picture.paint(graphics, area);
            }
        });
        return painted;
    }

    private List<Box> shown(Patches.Picture picture) {
        return shown(VIEW, picture);
    }

    private static SheetPicture picture(Bench bench, Point... ends) {
        return picture(bench, 0.5, ends);
    }

    private static SheetPicture picture(Bench bench, double scale, Point... ends) {
        Drawing drawing = SheetDrawing.of(bench.assembly(), Practice.IEC);
        List<Terminal> at = ends.length == 0 ? List.of() : List.of(new Terminal("K1", "13"));
        return new SheetPicture(
                new Sight(bench.moment(), (fault, subject) -> false, Map.of()).of(drawing.marks()),
                new SheetPicture.Pointers(
                        Map.of(), new Marked(List.of(), at), List.of(ends), Optional.empty(), List.of()),
                new SheetPicture.Manner(scale, Ink.DAYLIGHT));
    }

    private static Sheet pump() {
        return Library.jobs().get(0).sheets().get(0);
    }

    private static boolean coverOnce(List<? extends Box> painted) {
        return painted.stream().mapToDouble(area -> overlap(area, VIEW)).sum() == VIEW.width() * VIEW.height();
    }

    private static double overlap(Box some, Box other) {
        double width = Math.min(some.x() + some.width(), other.x() + other.width()) - Math.max(some.x(), other.x());
        double height = Math.min(some.y() + some.height(), other.y() + other.height()) - Math.max(some.y(), other.y());
        return Math.max(0, width) * Math.max(0, height);
    }

    /** Words and lines go on across the edges of patches as if there were none. */
    @Test
    void patchesTogetherLookLikeTheWhole() throws Exception {
        List<Sheet> sheets = Library.jobs().get(0).sheets();
        for (Sheet sheet : List.of(sheets.get(0), sheets.get(1), sheets.get(sheets.size() - 1))) {
            Bench bench = Bench.of(Assembly.of(sheet));
            bench.act(new Action(Verb.CLOSE, "Q1"));
            bench.runUntil(bench.now() + 100_000);
            for (double scale : new double[] {0.83, 1.3}) {
                Drawing drawing = SheetDrawing.of(bench.assembly(), Practice.IEC);
                SheetPicture picture = picture(bench, scale);
                Box all = new Box(0, 0, Math.ceil(scale * drawing.width()), Math.ceil(scale * drawing.height()));
                WaitForAsyncUtils.asyncFx(() -> assertSame(sheet.name(), all, picture))
                        .get();
            }
        }
    }

    private static void assertSame(String name, Box all, SheetPicture picture) {
        Canvas canvas = new Canvas(all.width(), all.height());
        picture.paint(canvas.getGraphicsContext2D(), all);
        Patches laid = new Patches();
        laid.show(all, picture);
        Image whole = canvas.snapshot(new SnapshotParameters(), null);
        SnapshotParameters part = new SnapshotParameters();
        part.setViewport(new Rectangle2D(0, 0, all.width(), all.height()));
        Image together = laid.snapshot(part, null);
        int[] one = colours(whole);
        int[] other = colours(together);
        int worst = 0;
        for (int pixel = 1; pixel < one.length; pixel++) {
            if (apart(one[pixel], other[pixel]) > apart(one[worst], other[worst])) {
                worst = pixel;
            }
        }
        assertThat(apart(one[worst], other[worst]))
                .as("%s, pixel %d of rows of %.0f", name, worst, whole.getWidth())
                .isLessThan(ROUNDING);
    }

    private static int[] colours(Image image) {
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        int[] colours = new int[width * height];
        image.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), colours, 0, width);
        return colours;
    }

    /** By how much red, green or blue differ at most, of 255. */
    private static int apart(int one, int other) {
        int most = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            most = Math.max(most, Math.abs((one >> shift & 0xff) - (other >> shift & 0xff)));
        }
        return most;
    }

    @Test
    void whatLooksTheSameIsNotPaintedAgain() throws Exception {
        Bench bench = Bench.of(Assembly.of(pump()));

        assertThat(shown(picture(bench))).matches(PatchesTest::coverOnce, "all of the view once");
        assertThat(shown(picture(bench))).isEmpty();
        assertThat(shown(picture(bench, new Point(10, 10)))).matches(PatchesTest::coverOnce, "all of the view once");
        assertThat(shown(picture(bench, 0.6))).matches(PatchesTest::coverOnce, "all of the view once");
    }

    @Test
    void whatIsScrolledToIsPaintedAndNothingElse() throws Exception {
        Bench bench = Bench.of(Assembly.of(pump()));
        shown(picture(bench));
        Box further = new Box(30, 60, VIEW.width(), VIEW.height());

        List<Box> painted = shown(further, picture(bench));

        assertThat(painted)
                .isNotEmpty()
                .allMatch(area -> overlap(area, VIEW) == 0)
                .allMatch(further::overlaps);
        assertThat(patches.getChildrenUnmodifiable())
                .allMatch(canvas -> canvas.getBoundsInParent().intersects(0, 0, VIEW.width(), VIEW.height()));
    }

    /** Other words on the last rung change nothing above it, and nothing in the power circuit beside it. */
    @Test
    void anEditIsPaintedWhereItIs() throws Exception {
        Sheet renamed = pump().withDevices(pump().devices().stream()
                .map(device -> device.tag().equals("P3") ? device.labelled("Overload") : device)
                .toList());
        shown(picture(Bench.of(Assembly.of(pump()))));

        assertThat(shown(picture(Bench.of(Assembly.of(renamed)))))
                .isNotEmpty()
                .hasSizeLessThan(4)
                .allMatch(area -> area.x() > 0 && area.y() > 0);
    }

    /** The upper ends of the power circuit come live, and with them the rails, which reach all the way down. */
    @Test
    void whatComesLiveIsPaintedWhereverItReaches() throws Exception {
        Bench bench = Bench.of(Assembly.of(pump()));
        shown(picture(bench));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(bench.now() + 100_000);

        assertThat(shown(picture(bench)).stream().map(Box::y)).contains(0.0, 96.0, 192.0);
        assertThat(shown(picture(bench))).isEmpty();
    }
}
