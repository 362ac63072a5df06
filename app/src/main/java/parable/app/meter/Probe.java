package parable.app.meter;

import javafx.scene.paint.Color;

/** A probe of the meter. */
public enum Probe {
    RED("red", "R", Color.web("#b3123a")),
    BLACK("black", "B", Color.web("#101418"));

    private final String words;
    private final String letter;
    private final Color colour;

    Probe(String words, String letter, Color colour) {
        this.words = words;
        this.letter = letter;
        this.colour = colour;
    }

    /** The name of the probe: {@code red}. */
    public String words() {
        return words;
    }

    /** The letter that tells it apart without its colour. */
    public String letter() {
        return letter;
    }

    /** The colour of its handle. */
    public Color colour() {
        return colour;
    }
}
