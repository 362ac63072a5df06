package parable.app.sizing;

import java.util.List;
import java.util.Locale;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import parable.app.look.Ink;
import parable.app.look.Lettering;
import parable.app.look.Look;
import parable.app.look.SharpCanvas;
import parable.sizing.Plot;

/** One plot: its curves with their names, and what they say where the pointer or the arrow keys are. */
final class PlotView extends VBox {

    private static final double WIDTH = 300;
    private static final double HEIGHT = 196;
    private static final double LEFT = 40;
    private static final double RIGHT = 16;
    private static final double TOP = 6;
    private static final double BOTTOM = 30;
    private static final Lettering.Face FACE = Lettering.Face.plain(11);
    private static final double KEY_STEP = 0.01;

    private final Plot plot;
    private final Look look;
    private final SharpCanvas canvas;
    private final Label reading = new Label();
    private final ChangeListener<Object> changed = (any, before, now) -> repaint();
    private double pointer = -1;

    PlotView(Plot plot, Look look) {
        super(2);
        this.plot = plot;
        this.look = look;
        canvas = new SharpCanvas(look);
        canvas.setManaged(true);
        canvas.setMinSize(WIDTH, HEIGHT);
        canvas.setMaxSize(WIDTH, HEIGHT);
        Label title = new Label(plot.title());
        title.getStyleClass().add("finding-text");
        title.setWrapText(true);
        reading.getStyleClass().add("finding-reason");
        reading.setWrapText(true);
        reading.setMinHeight(Region.USE_PREF_SIZE);
        reading.setText(legend());
        canvas.setFocusTraversable(true);
        canvas.setAccessibleText(plot.title() + ". Left and Right read it off.");
        canvas.setOnMouseMoved(event -> point((event.getX() - LEFT) / (WIDTH - LEFT - RIGHT)));
        canvas.setOnMouseExited(event -> point(-1));
        canvas.setOnMousePressed(event -> canvas.requestFocus());
        canvas.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        getChildren().addAll(title, canvas, reading);
        look.themeProperty().addListener(new WeakChangeListener<>(changed));
        canvas.widthProperty().addListener(changed);
        canvas.heightProperty().addListener(changed);
        canvas.densityProperty().addListener(changed);
    }

    private void repaint() {
        canvas.paint(this::paint);
    }

    private void key(KeyEvent event) {
        if (event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.RIGHT) {
            double from = pointer < 0 ? 0.5 : pointer;
            point(from + (event.getCode() == KeyCode.LEFT ? -KEY_STEP : KEY_STEP));
            event.consume();
        }
    }

    /** Reads the plot off at a place from 0 to 1, nowhere outside of it. */
    private void point(double place) {
        pointer = place < 0 || place > 1 ? -1 : place;
        reading.setText(
                pointer < 0
                        ? legend()
                        : String.join("\n", plot.read(plot.across().value(pointer))));
        canvas.paint(this::paint);
    }

    private String legend() {
        StringBuilder words = new StringBuilder();
        List<Plot.PlotCurve> curves = plot.curves();
        for (int i = 0; i < curves.size(); i++) {
            words.append(i == 0 ? "" : "\n")
                    .append(i + 1)
                    .append("  ")
                    .append(curves.get(i).name());
        }
        return words.toString();
    }

    private double x(double value) {
        return LEFT + plot.across().place(value) * (WIDTH - LEFT - RIGHT);
    }

    private double y(double value) {
        double place = Math.max(-0.02, Math.min(1.02, plot.up().place(value)));
        return HEIGHT - BOTTOM - place * (HEIGHT - TOP - BOTTOM);
    }

    private void paint(GraphicsContext pen) {
        Ink ink = look.ink();
        pen.setFill(ink.paper());
        pen.fillRect(0, 0, WIDTH, HEIGHT);
        grid(pen, ink);
        pen.save();
        pen.beginPath();
        pen.rect(LEFT, TOP, WIDTH - LEFT - RIGHT, HEIGHT - TOP - BOTTOM);
        pen.clip();
        plot.curves().forEach(curve -> stroke(pen, ink, curve));
        if (pointer >= 0) {
            pen.setStroke(ink.symbol());
            pen.setLineWidth(1);
            pen.setLineDashes(2, 3);
            double at = LEFT + pointer * (WIDTH - LEFT - RIGHT);
            pen.strokeLine(at, TOP, at, HEIGHT - BOTTOM);
        }
        pen.restore();
        numbers(pen, ink);
    }

    private void grid(GraphicsContext pen, Ink ink) {
        Lettering words = new Lettering(pen);
        pen.setStroke(ink.grid());
        pen.setLineWidth(1);
        pen.setLineDashes();
        for (double mark : plot.across().marks()) {
            pen.strokeLine(x(mark), TOP, x(mark), HEIGHT - BOTTOM);
            words.write(number(mark), x(mark), HEIGHT - BOTTOM + 12, FACE, TextAlignment.CENTER, ink.quiet());
        }
        for (double mark : plot.up().marks()) {
            pen.strokeLine(LEFT, y(mark), WIDTH - RIGHT, y(mark));
            words.write(number(mark), LEFT - 4, y(mark) + 4, FACE, TextAlignment.RIGHT, ink.quiet());
        }
        words.write(
                plot.across().name() + units(plot.across()) + " across, "
                        + plot.up().name().toLowerCase(Locale.ROOT) + units(plot.up()) + " up",
                (WIDTH + LEFT) / 2,
                HEIGHT - 4,
                FACE,
                TextAlignment.CENTER,
                ink.symbol());
    }

    private static String units(Plot.PlotAxis axis) {
        return axis.unit().isEmpty() ? "" : " " + axis.unit();
    }

    private static String number(double mark) {
        String plain = java.math.BigDecimal.valueOf(mark)
                .round(new java.math.MathContext(4))
                .stripTrailingZeros()
                .toPlainString();
        return plain;
    }

    private void stroke(GraphicsContext pen, Ink ink, Plot.PlotCurve curve) {
        Color colour =
                switch (curve.stroke()) {
                    case MOTOR -> ink.symbol();
                    case LOAD -> ink.back();
                    case DEVICE -> ink.live();
                    case LIMIT -> ink.shorted();
                };
        pen.setStroke(colour);
        pen.setLineWidth(curve.stroke() == Plot.CurveStroke.LIMIT ? 1.2 : 2);
        switch (curve.stroke()) {
            case MOTOR, DEVICE -> pen.setLineDashes();
            case LOAD -> pen.setLineDashes(7, 4);
            case LIMIT -> pen.setLineDashes(2, 3);
        }
        pen.beginPath();
        boolean first = true;
        for (Plot.PlotPoint point : curve.points()) {
            if (first) {
                pen.moveTo(x(point.across()), y(point.up()));
            } else {
                pen.lineTo(x(point.across()), y(point.up()));
            }
            first = false;
        }
        pen.stroke();
        pen.setLineDashes();
    }

    /** The number of each curve beside it, where it is in the middle of what is seen of it. */
    private void numbers(GraphicsContext pen, Ink ink) {
        Lettering words = new Lettering(pen);
        for (int i = 0; i < plot.curves().size(); i++) {
            List<Plot.PlotPoint> seen = plot.curves().get(i).points().stream()
                    .filter(point -> isSeen(point))
                    .toList();
            if (!seen.isEmpty()) {
                Plot.PlotPoint at =
                        seen.get((i + 1) * (seen.size() - 1) / (plot.curves().size() + 1));
                pen.setFill(ink.paper());
                pen.fillOval(x(at.across()) - 7, y(at.up()) - 7, 14, 14);
                words.write(
                        Integer.toString(i + 1),
                        x(at.across()),
                        y(at.up()) + 4,
                        Lettering.Face.bold(11),
                        TextAlignment.CENTER,
                        ink.symbol());
            }
        }
    }

    private boolean isSeen(Plot.PlotPoint point) {
        double across = plot.across().place(point.across());
        double up = plot.up().place(point.up());
        return across >= 0.02 && across <= 0.98 && up >= 0.01 && up <= 0.97;
    }
}
