package parable.app.look;

import java.util.HashMap;
import java.util.Map;
import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import javafx.scene.transform.Affine;

/**
 * Words on a canvas that is scaled and moved, but not turned. Letters scaled by the canvas are worked out and filled as outlines, each anew; these are set
 * at once as large as they will stand, as a page of text is.
 */
public final class Lettering {

    private static final Affine UNSCALED = new Affine();

    /**
     * How letters look.
     *
     * @param size as the canvas is scaled
     */
    public record Face(boolean bold, double size) {

        /** Plain letters of a size. */
        public static Face plain(double size) {
            return new Face(false, size);
        }

        /** Bold letters of a size. */
        public static Face bold(double size) {
            return new Face(true, size);
        }

        private Face scaled(double by) {
            return new Face(bold, size * by);
        }

        private Font font() {
            return Font.font(Typeface.WORDS, bold ? FontWeight.BOLD : FontWeight.NORMAL, size);
        }
    }

    /** Parts of a pixel to which words begin: all that is seen of a finer place is that letters tremble where they are painted anew. */
    private static final double STEPS = 4;

    private final GraphicsContext canvas;
    private final Map<Face, Font> fonts = new HashMap<>();

    /** Words on a canvas. */
    public Lettering(GraphicsContext canvas) {
        this.canvas = canvas;
    }

    /**
     * Writes words.
     *
     * @param x of the point that they stand at, as the canvas is scaled now
     * @param y of their base line, as the canvas is scaled now
     * @param face of the letters, as the canvas is scaled now
     * @param side which end of the words stands at the point
     */
    public void write(String words, double x, double y, Face face, TextAlignment side, Color colour) {
        Affine scaled = canvas.getTransform();
        Point2D at = scaled.transform(x, y);
        canvas.setTransform(UNSCALED);
        canvas.setFont(fonts.computeIfAbsent(face.scaled(scaled.getMxx()), Face::font));
        canvas.setTextAlign(side);
        canvas.setFill(colour);
        canvas.fillText(words, Math.floor(at.getX() * STEPS + 0.5) / STEPS, Math.floor(at.getY() + 0.5));
        canvas.setTransform(scaled);
    }
}
