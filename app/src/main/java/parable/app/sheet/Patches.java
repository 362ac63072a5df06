package parable.app.sheet;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import parable.app.look.SharpCanvas;
import parable.draw.Box;

/**
 * The paper that a drawing is painted on, in patches: only one on which something looks otherwise than before is painted anew, for painting takes longer
 * than all that an edit or an instant asks for besides. They lie fast on the drawing, so that scrolling moves them.
 */
final class Patches extends Region {

    private static final double WIDTH = 224;
    private static final double HEIGHT = 96;

    private final Map<Place, Patch> patches = new HashMap<>();

    /** What is painted. */
    interface Picture {

        /** All that decides how it looks within a box; equal ones look the same. */
        Object look(Box area);

        /** Paints it within a box; the context stands where the whole begins and is cut off where the box ends. */
        void paint(GraphicsContext graphics, Box area);
    }

    /** Where a patch lies, counted in patches. */
    private record Place(int column, int row) {

        Box area() {
            return new Box(column * WIDTH, row * HEIGHT, WIDTH, HEIGHT);
        }
    }

    private static final class Patch {
        private final SharpCanvas canvas = new SharpCanvas();
        private Optional<Object> painted = Optional.empty();

        Patch(double density) {
            canvas.resize(WIDTH, HEIGHT);
            canvas.densityProperty().set(density);
        }
    }

    private double density = 1;

    Patches() {
        setManaged(false);
        setMouseTransparent(true);
    }

    /** Paints with so many pixels for a length of 1 from now on; nothing is painted any more if they are others. */
    void paintWith(double pixels) {
        if (pixels != density) {
            density = pixels;
            patches.clear();
            getChildren().clear();
        }
    }

    /**
     * Shows what can be seen of a picture.
     *
     * @param view what of the picture is in view, in whole pixels
     */
    void show(Box view, Picture picture) {
        resize(view.width(), view.height());
        List<Place> wanted = places(view);
        Deque<Patch> free = free(wanted);
        for (Place place : wanted) {
            Patch patch = patches.computeIfAbsent(place, any -> free.isEmpty() ? fresh() : free.pop());
            patch.canvas.relocate(place.area().x() - view.x(), place.area().y() - view.y());
            show(patch, place.area(), picture);
        }
        free.forEach(patch -> getChildren().remove(patch.canvas));
    }

    /** All that lies on the patches that are needed for a view; what is painted is to say how all of it looks. */
    static Box covering(Box view) {
        double left = Math.floor(view.x() / WIDTH) * WIDTH;
        double top = Math.floor(view.y() / HEIGHT) * HEIGHT;
        double right = Math.ceil((view.x() + view.width()) / WIDTH) * WIDTH;
        double bottom = Math.ceil((view.y() + view.height()) / HEIGHT) * HEIGHT;
        return new Box(left, top, right - left, bottom - top);
    }

    private static List<Place> places(Box view) {
        Box covered = covering(view);
        List<Place> places = new ArrayList<>();
        for (double y = covered.y(); y < covered.y() + covered.height(); y += HEIGHT) {
            for (double x = covered.x(); x < covered.x() + covered.width(); x += WIDTH) {
                places.add(new Place((int) (x / WIDTH), (int) (y / HEIGHT)));
            }
        }
        return places;
    }

    /** Takes up the patches that are not wanted any more, to be laid elsewhere and painted anew there. */
    private Deque<Patch> free(List<Place> wanted) {
        Set<Place> unwanted = new HashSet<>(patches.keySet());
        wanted.forEach(unwanted::remove);
        Deque<Patch> free = new ArrayDeque<>();
        for (Place place : unwanted) {
            Patch patch = patches.remove(place);
            patch.painted = Optional.empty();
            free.add(patch);
        }
        return free;
    }

    private Patch fresh() {
        Patch patch = new Patch(density);
        getChildren().add(patch.canvas);
        return patch;
    }

    private static void show(Patch patch, Box area, Picture picture) {
        Optional<Object> look = Optional.of(picture.look(area));
        if (look.equals(patch.painted)) {
            return;
        }
        patch.painted = look;
        patch.canvas.paint(graphics -> {
            graphics.translate(-area.x(), -area.y());
            picture.paint(graphics, area);
        });
    }
}
