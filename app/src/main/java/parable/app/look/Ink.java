package parable.app.look;

import javafx.scene.paint.Color;
import parable.network.NodeState;

/**
 * The colours and weights of a drawing. Every state differs in weight or dash from every other, so that colour only helps;
 * the colours keep apart for colour-blind eyes.
 *
 * @param paper the background
 * @param symbol symbols and texts
 * @param quiet texts of lesser weight
 * @param dead wires without voltage
 * @param live wires with voltage
 * @param back wires joined to the return
 * @param shorted wires on the way of a short circuit
 * @param grid lines that only help the eye
 */
public record Ink(
        Color paper, Color symbol, Color quiet, Color dead, Color live, Color back, Color shorted, Color grid) {

    /** Dark on light, for a bright workshop. */
    public static final Ink DAYLIGHT = new Ink(
            Color.web("#fcfbf7"),
            Color.web("#1c2126"),
            Color.web("#4b545d"),
            Color.web("#6d7680"),
            Color.web("#b84a00"),
            Color.web("#14507d"),
            Color.web("#a3005c"),
            Color.web("#d5d9dc"));

    /** Light on dark, for a dim room. */
    public static final Ink NIGHT = new Ink(
            Color.web("#14181b"),
            Color.web("#eef1f2"),
            Color.web("#b4bec6"),
            Color.web("#8d979f"),
            Color.web("#ff9248"),
            Color.web("#74bdf5"),
            Color.web("#ff6db8"),
            Color.web("#333b41"));

    /** Black on white, each colour dark enough to be read as text (contrast 7 to 1 and more). */
    public static final Ink CONTRAST = new Ink(
            Color.WHITE,
            Color.BLACK,
            Color.BLACK,
            Color.web("#333333"),
            Color.web("#8a2f00"),
            Color.web("#00396b"),
            Color.web("#7a0045"),
            Color.web("#777777"));

    /** Black on white, for paper. */
    public static final Ink PRINT = new Ink(
            Color.WHITE, Color.BLACK, Color.BLACK, Color.BLACK, Color.BLACK, Color.BLACK, Color.BLACK, Color.BLACK);

    private static final double[] UNBROKEN = {};
    private static final double[] LONG_DASHES = {9, 5};
    private static final double[] DASH_DOT = {12, 4, 2, 4};

    /** The colour of a wire. */
    public Color of(NodeState state) {
        return switch (state) {
            case DEAD -> dead;
            case LIVE, LIVE_THROUGH_LOAD -> live;
            case RETURN -> back;
            case SHORTED -> shorted;
        };
    }

    /** The width of a wire in drawing units. */
    public static double widthOf(NodeState state) {
        return switch (state) {
            case DEAD -> 1.1;
            case RETURN -> 2.2;
            case LIVE_THROUGH_LOAD -> 3;
            case LIVE -> 4;
            case SHORTED -> 6;
        };
    }

    /** The dashes of a wire, none if it is drawn unbroken. */
    public static double[] dashesOf(NodeState state) {
        return switch (state) {
            case DEAD, LIVE, RETURN -> UNBROKEN;
            case LIVE_THROUGH_LOAD -> LONG_DASHES;
            case SHORTED -> DASH_DOT;
        };
    }
}
