package parable.app.time;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.CheckBox;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import parable.app.look.DirectScroll;
import parable.app.look.Ink;
import parable.app.look.Look;
import parable.app.look.SharpCanvas;
import parable.app.look.Typeface;
import parable.app.look.WhileShown;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.bench.Sample;
import parable.draw.FoldedTime;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What every device did, side by side over time: a bar while it is at work, and for a motor its speed and its line current
 * as curves. Dragging along it looks at the past; the wheel shows a longer or a shorter while.
 */
public final class TimeStrip extends DirectScroll {

    private static final double NAMES = 72;
    private static final double ROW = 15;
    private static final double MOTOR_ROW = 46;
    private static final double RULER = 18;

    /** In pixels. */
    private static final double STEP = 2;

    /** So much of the strip's width a quiet stretch keeps, and so much is the shortest that is folded. */
    private static final double KEPT = 0.06;

    private static final double LEAST = 0.2;

    /** A speed that changes by less, of the rated one, does not change. */
    private static final double STILL = 0.005;

    /** About the width of a letter, in pixels. */
    private static final double LETTER = 6.5;

    private static final int MOST_LOOKED_AT = 400;

    /** So much up or down is seen, in pixels. */
    private static final double SEEN = 0.25;

    private static final double[] UNBROKEN = {};
    private static final double[] DASHES = {4, 3};
    private static final double[] RULER_STEPS = {0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 60};

    private final RunModel run;
    private final Look look;
    private final SharpCanvas canvas;
    private final Pane whole;
    private List<Part> devices = List.of();
    private List<Part> motors = List.of();
    private double span = 10e6;
    private FoldedTime folded = FoldedTime.plain();
    private final CheckBox folds = new CheckBox("Fold what is quiet");
    private long paintedUntil;
    private long paintedShown;
    private int paintedInstants;

    /** The strip of a running sheet. */
    public TimeStrip(RunModel run, Look look) {
        this.run = run;
        this.look = look;
        canvas = new SharpCanvas(look);
        whole = new Pane(canvas);
        setId("time-strip");
        folds.setId("strip-folds");
        folds.setSelected(true);
        folds.selectedProperty().addListener((any, before, now) -> requestLayout());
        getStyleClass().add("time-strip");
        setContent(whole);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        fit();
        run.assemblyProperty().addListener((any, before, changed) -> fit());
        viewportBoundsProperty().addListener((any, before, bounds) -> {
            canvas.resize(bounds.getWidth(), bounds.getHeight());
            requestLayout();
        });
        vvalueProperty().addListener((any, before, value) -> requestLayout());
        run.shownTimeProperty().addListener((any, before, time) -> goOn());
        run.nowProperty().addListener((any, before, time) -> goOn());
        WhileShown.follow(this, this::requestLayout, look.themeProperty(), look.magnificationProperty());
        canvas.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> lookAt(event.getX()));
        canvas.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> lookAt(event.getX()));
        addEventFilter(ScrollEvent.SCROLL, event -> {
            if (event.isControlDown() || event.getX() > NAMES) {
                span = Math.max(20e3, Math.min(600e6, span * Math.pow(1.2, -Math.signum(event.getDeltaY()))));
                requestLayout();
                event.consume();
            }
        });
    }

    private void fit() {
        motors = run.assembly().parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .toList();
        devices = run.assembly().parts().stream()
                .filter(TimeStrip::hasTrace)
                .sorted(Comparator.comparing(part -> !hasChanged(part)))
                .toList();
        whole.setPrefHeight(RULER + MOTOR_ROW * motors.size() + ROW * devices.size());
        requestLayout();
    }

    /** Whether a device was ever otherwise than at the beginning; those stand first, from when the strip is opened. */
    private boolean hasChanged(Part part) {
        List<Long> instants = run.instants();
        return instants.stream()
                        .limit(MOST_LOOKED_AT)
                        .map(at -> run.momentAt(at).condition(part.tag()))
                        .distinct()
                        .count()
                > 1;
    }

    /** Puts what changed first. Meanwhile rows stay where they are. */
    public void order() {
        fit();
    }

    /** Whether stretches in which nothing happens are folded. */
    public CheckBox folds() {
        return folds;
    }

    /** Follows the present and what is looked at, no more closely than the eye does as long as nothing happens. */
    private void goOn() {
        double step = STEP * span / Math.max(1, canvas.getWidth() - NAMES);
        boolean moved = Math.abs(run.nowProperty().get() - paintedUntil) >= step
                || Math.abs(run.shownTimeProperty().get() - paintedShown) >= step;
        if (moved || run.instants().size() != paintedInstants) {
            requestLayout();
        }
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        paintedUntil = run.nowProperty().get();
        paintedShown = run.shownTimeProperty().get();
        paintedInstants = run.instants().size();
        canvas.paint(this::paint);
    }

    private static boolean hasTrace(Part part) {
        return switch (part.family()) {
            case SUPPLY, MOTOR, RESISTOR, INTERLOCK, CONVERTER, METALWORK -> false;
            default -> true;
        };
    }

    private void lookAt(double x) {
        if (x >= NAMES) {
            double laid = start() + (x - NAMES) / (canvas.getWidth() - NAMES) * span;
            run.lookAt(Math.round(Math.min(run.nowProperty().get(), folded.time(laid))));
        }
    }

    /** How much is laid out left of the left edge: the present stands at the right, unless what is looked at lies further back. */
    private double start() {
        double end = Math.max(span, folded.laid(run.nowProperty().get()));
        double shown = folded.laid(run.shownTimeProperty().get());
        return Math.max(0, Math.min(end - span, shown - 0.1 * span));
    }

    private double x(double time) {
        return NAMES + (folded.laid(time) - start()) / span * (canvas.getWidth() - NAMES);
    }

    /** Paints what the viewport shows; the canvas goes along with it. */
    private void paint(GraphicsContext graphics) {
        Ink ink = look.ink();
        fold();
        double height = canvas.getHeight();
        double top = Math.round(getVvalue() * Math.max(0, whole.getPrefHeight() - height));
        canvas.setLayoutY(top);
        graphics.clearRect(0, 0, canvas.getWidth(), height);
        graphics.setFont(Font.font(Typeface.WORDS, 11));
        paintRuler(graphics, ink, -top);
        double y = RULER - top;
        for (Part motor : motors) {
            if (y + MOTOR_ROW >= 0 && y <= height) {
                paintMotor(graphics, ink, motor, y);
            }
            y += MOTOR_ROW;
        }
        for (Part device : devices) {
            if (y + ROW >= 0 && y <= height) {
                paintDevice(graphics, ink, device, y);
            }
            y += ROW;
        }
        paintFolds(graphics, ink);
        double shown = x(run.shownTimeProperty().get());
        graphics.setFill(ink.symbol());
        graphics.fillRect(shown - 1, 0, 2, canvas.getHeight());
    }

    private void paintRuler(GraphicsContext graphics, Ink ink, double y) {
        double step = RULER_STEPS[RULER_STEPS.length - 1];
        for (int i = RULER_STEPS.length - 1; i >= 0 && RULER_STEPS[i] * 1e6 > span / 12; i--) {
            step = RULER_STEPS[i];
        }
        double until = folded.time(start() + span);
        for (long i = (long) Math.ceil(folded.time(start()) / 1e6 / step); i * step * 1e6 <= until; i++) {
            double at = x(i * step * 1e6);
            if (isCut(i * step * 1e6)) {
                continue;
            }
            graphics.setFill(ink.grid());
            graphics.fillRect(Math.floor(at), 0, 1, canvas.getHeight());
            graphics.setFill(ink.quiet());
            graphics.fillText(Clock.words(Math.round(i * step * 1e6)), at + 3, y + 12);
        }
    }

    /** Whether a time is within a fold, where nothing is laid out. */
    private boolean isCut(double time) {
        return folded.folds().stream().anyMatch(fold -> time > fold.from() && time < fold.from() + fold.cut());
    }

    /** Folds the stretches in which neither a device nor the speed of a motor changes. */
    private void fold() {
        if (!folds.isSelected()) {
            folded = FoldedTime.plain();
            return;
        }
        TreeSet<Long> happened = new TreeSet<>(run.instants());
        for (Part motor : motors) {
            double before = 0;
            for (Sample sample : run.trace(motor.tag())) {
                if (Math.abs(sample.speed() - before) > STILL) {
                    happened.add(sample.time());
                    before = sample.speed();
                }
            }
        }
        folded = FoldedTime.of(List.copyOf(happened), run.nowProperty().get(), span * KEPT, span * LEAST);
    }

    /** Where time is folded, and how much of it. */
    private void paintFolds(GraphicsContext graphics, Ink ink) {
        for (FoldedTime.Fold fold : folded.folds()) {
            double at = Math.rint(x(fold.from()));
            if (at < NAMES || at > canvas.getWidth()) {
                continue;
            }
            graphics.setFill(ink.paper());
            graphics.fillRect(at - 2, 0, 5, canvas.getHeight());
            graphics.setFill(ink.quiet());
            graphics.fillRect(at - 2, 0, 1, canvas.getHeight());
            graphics.fillRect(at + 2, 0, 1, canvas.getHeight());
            String words = "\u2026 " + Clock.words(Math.round(fold.cut())) + " \u2026";
            graphics.setFill(ink.paper());
            graphics.fillRect(at + 3, 0, words.length() * LETTER, RULER - 2);
            graphics.setFill(ink.symbol());
            graphics.fillText(words, at + 5, 12);
        }
    }

    private void paintDevice(GraphicsContext graphics, Ink ink, Part device, double y) {
        graphics.setFill(ink.symbol());
        graphics.fillText(device.tag(), 8, y + 11);
        graphics.setFill(ink.quiet());
        List<Long> instants = run.instants();
        double end = run.nowProperty().get();
        for (int i = firstShown(instants); i < instants.size() && folded.laid(instants.get(i)) <= start() + span; i++) {
            Moment moment = run.momentAt(instants.get(i));
            double until = i + 1 < instants.size() ? instants.get(i + 1) : end;
            if (moment.condition(device.tag()).isActive()) {
                double left = Math.max(NAMES, x(instants.get(i)));
                graphics.fillRect(left, y + 3, Math.max(1, x(until) - left + 0.5), ROW - 5);
            } else {
                double left = Math.max(NAMES, x(instants.get(i)));
                graphics.fillRect(left, y + ROW - 3, Math.max(0, x(until) - left), 1);
            }
        }
    }

    private int firstShown(List<Long> instants) {
        int first = 0;
        while (first + 1 < instants.size() && folded.laid(instants.get(first + 1)) < start()) {
            first++;
        }
        return first;
    }

    /** The last sample at or before the left edge, the first of all if there is none. */
    private int firstVisible(List<Sample> samples) {
        int first = 0;
        while (first + 1 < samples.size() && folded.laid(samples.get(first + 1).time()) <= start()) {
            first++;
        }
        return first;
    }

    private void paintMotor(GraphicsContext graphics, Ink ink, Part motor, double y) {
        List<Sample> samples = run.trace(motor.tag());
        double highest = samples.stream().mapToDouble(Sample::lineAmperes).max().orElse(0);
        double most = Math.max(1, highest);
        double foot = y + MOTOR_ROW - 4;
        double height = MOTOR_ROW - 10;
        paintCurve(graphics, samples, new Line(ink.back(), 2.2, UNBROKEN), foot, height, Sample::speed);
        paintCurve(
                graphics,
                samples,
                new Line(ink.live(), 1.8, DASHES),
                foot,
                height,
                sample -> sample.lineAmperes() / most);
        graphics.clearRect(0, y, NAMES, MOTOR_ROW);
        graphics.setFill(ink.symbol());
        graphics.fillText(motor.tag(), 8, y + 13);
        graphics.setFill(ink.back());
        graphics.fillText("speed", 8, y + 26);
        graphics.setFill(ink.live());
        graphics.fillText(highest == 0 ? "0 A" : "max " + Math.round(highest) + " A", 8, y + 39);
    }

    /** How a curve is drawn. */
    private record Line(Color colour, double width, double[] dashes) {}

    private void paintCurve(
            GraphicsContext graphics,
            List<Sample> samples,
            Line line,
            double foot,
            double height,
            ToDoubleFunction<Sample> value) {
        List<Sample> visible = samples.subList(firstVisible(samples), samples.size());
        if (visible.isEmpty()) {
            return;
        }
        double[] heights = visible.stream()
                .mapToDouble(sample -> foot - height * Math.abs(value.applyAsDouble(sample)))
                .toArray();
        double end = x(run.nowProperty().get());
        double last = heights[heights.length - 1];
        if (Arrays.stream(heights).allMatch(at -> Math.abs(at - last) < SEEN)) {
            paintLevel(graphics, line, x(visible.get(0).time()), end, last);
            return;
        }
        graphics.setStroke(line.colour);
        graphics.setLineWidth(line.width);
        graphics.setLineDashes(line.dashes);
        graphics.beginPath();
        graphics.moveTo(x(visible.get(0).time()), heights[0]);
        for (int i = 1; i < heights.length; i++) {
            graphics.lineTo(x(visible.get(i).time()), heights[i]);
        }
        graphics.lineTo(end, last);
        graphics.stroke();
        graphics.setLineDashes();
    }

    /** A curve that is level all along, as that of a motor at rest, is filled like any level line. */
    private static void paintLevel(GraphicsContext graphics, Line line, double from, double to, double y) {
        graphics.setFill(line.colour);
        double dash = line.dashes.length == 0 ? to - from : line.dashes[0];
        double pitch = line.dashes.length == 0 ? to - from : dash + line.dashes[1];
        for (double at = Math.max(from, NAMES); at < to; at += pitch) {
            graphics.fillRect(at, y - line.width / 2, Math.min(dash, to - at), line.width);
        }
    }
}
