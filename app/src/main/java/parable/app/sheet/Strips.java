package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/**
 * The paper that a drawing is painted on, in strips one below the other: only a strip on which something looks otherwise than before is painted
 * anew, for painting takes longer than all that an edit or an instant asks for besides.
 */
final class Strips extends Region {

    private static final double HEIGHT = 96;

    private final List<Strip> strips = new ArrayList<>();

    /** What is painted. */
    interface Picture {

        /** All that decides how it looks between two heights; equal ones look the same. */
        Object look(double top, double bottom);

        /** Paints it between two heights; the context stands where the whole begins and is cut off where the strip ends. */
        void paint(GraphicsContext graphics, double top, double bottom);
    }

    private static final class Strip {
        private final Canvas canvas = new Canvas();
        private Optional<Object> painted = Optional.empty();
    }

    Strips() {
        setManaged(false);
        setMouseTransparent(true);
    }

    /** Shows a picture on paper of this size. */
    void show(double width, double height, Picture picture) {
        resize(width, height);
        int count = (int) Math.ceil(height / HEIGHT);
        while (strips.size() < count) {
            Strip strip = new Strip();
            strip.canvas.setLayoutY(strips.size() * HEIGHT);
            strips.add(strip);
            getChildren().add(strip.canvas);
        }
        for (int i = 0; i < strips.size(); i++) {
            strips.get(i).canvas.setVisible(i < count);
            if (i < count) {
                show(strips.get(i), width, i * HEIGHT, picture);
            }
        }
    }

    private static void show(Strip strip, double width, double top, Picture picture) {
        Canvas canvas = strip.canvas;
        boolean fits = canvas.getWidth() == width && canvas.getHeight() == HEIGHT;
        Optional<Object> look = Optional.of(picture.look(top, top + HEIGHT));
        if (fits && look.equals(strip.painted)) {
            return;
        }
        strip.painted = look;
        canvas.setWidth(width);
        canvas.setHeight(HEIGHT);
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.save();
        graphics.translate(0, -top);
        picture.paint(graphics, top, top + HEIGHT);
        graphics.restore();
    }
}
