package parable.app.sheet;

import java.util.Optional;
import java.util.function.Supplier;
import parable.app.run.RunModel;
import parable.circuit.Practice;
import parable.draw.Arrangement;
import parable.draw.Drawing;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/** The drawing of a running sheet, arranged for the width that there is: the ladder beside the power circuit where both can be read there, else below it. */
final class Laid {

    /** No width is less than nothing. */
    private static final double UNKNOWN = -1;

    private final RunModel run;
    private final Supplier<Practice> practice;
    private Arrangement arrangement = Arrangement.BESIDE;
    private double arrangedFor;
    private double besideWidth;
    private Drawing drawing;
    private Optional<Frame> draft = Optional.empty();

    Laid(RunModel run, Supplier<Practice> practice) {
        this.run = run;
        this.practice = practice;
        draw();
    }

    private Drawing drawn(Arrangement how) {
        return SheetDrawing.of(run.assembly(), practice.get(), how);
    }

    /** The drawing of the sheet as it is. */
    Drawing drawing() {
        return drawing;
    }

    /** What is chosen or typed, drawn as it would be; empty if nothing is. */
    Optional<Frame> draft() {
        return draft;
    }

    /** What is shown: the draft, or the drawing if there is none. */
    Drawing shown() {
        return draft.map(Frame::drawing).orElse(drawing);
    }

    /** Draws the sheet as it has become, without draft. */
    void draw() {
        drawing = drawn(arrangement);
        besideWidth = arrangement == Arrangement.BESIDE ? drawing.width() : UNKNOWN;
        draft = Optional.empty();
    }

    /** How wide the drawing is with the ladder beside the power circuit. */
    private double besideWidth() {
        if (besideWidth == UNKNOWN) {
            besideWidth = drawn(Arrangement.BESIDE).width();
        }
        return besideWidth;
    }

    /** Draws a sheet as it would be; empty ends that. */
    void draft(Optional<Assembly> would) {
        draft = would.map(assembly -> Frame.of(assembly, run, practice.get(), arrangement));
    }

    /**
     * Arranges the drawing for a width; returns whether it was arranged anew. An edit that makes a drawing narrower leaves the ladder below: nothing is to
     * jump.
     *
     * @param width the width that there is, in drawing units
     */
    boolean arrange(double width) {
        boolean resized = width != arrangedFor;
        boolean tooWide = arrangement == Arrangement.BESIDE && drawing.width() > width;
        if (width <= 0 || !resized && !tooWide) {
            return false;
        }
        arrangedFor = width;
        boolean fits = !tooWide && besideWidth() <= width;
        Arrangement wanted = fits ? Arrangement.BESIDE : Arrangement.BELOW;
        boolean changes = wanted != arrangement;
        if (changes) {
            arrangement = wanted;
            drawing = drawn(arrangement);
            draft(draft.map(frame -> frame.moment().assembly()));
        }
        return changes;
    }
}
