package parable.app.sheet;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import parable.app.look.Lettering;
import parable.app.meter.MeterModel;
import parable.app.meter.Probe;
import parable.bench.Meter;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.draw.Drawing;
import parable.draw.Point;

/** The probes of the meter where they touch the drawing. */
final class Probes {

    private static final double REACH = 9;
    private static final double CLAMP_REACH = 24;

    private final MeterModel meter;
    private final Map<Probe, Point> points = new EnumMap<>(Probe.class);

    Probes(MeterModel meter) {
        this.meter = meter;
    }

    /**
     * Puts the probe that is in hand on what is drawn at a point, and returns whether there is something to touch; on nothing it stays in hand. When the
     * black one is down the red one is in hand, and stays there to be walked from wire to wire.
     */
    boolean putDown(Drawing drawing, double x, double y) {
        boolean clamp = meter.rangeProperty().get() == Meter.Range.AMPERES;
        Optional<String> place =
                clamp ? drawing.terminalNear(x, y, CLAMP_REACH).map(Terminal::toString) : drawing.wireNear(x, y, REACH);
        place.ifPresent(name -> {
            Probe probe = meter.inHandProperty().get();
            points.put(probe, new Point(x, y));
            meter.placeProperty(probe).set(name);
            meter.inHandProperty().set(clamp ? null : Probe.RED);
        });
        return place.isPresent();
    }

    /** Where a probe is drawn: where it was put down, or on a wire of the place that was typed. */
    private Optional<Point> pointOf(Probe probe, Drawing drawing) {
        String place = meter.placeProperty(probe).get().strip();
        if (place.isEmpty()) {
            return Optional.empty();
        }
        Optional<Point> put = Optional.ofNullable(points.get(probe))
                .filter(point -> drawing.wireNear(point.x(), point.y(), REACH).equals(Optional.of(place)));
        return put.or(
                () -> ProbePoint.read(place).terminal().map(drawing::pointAt).orElseGet(() -> drawing.pointOn(place)));
    }

    /** Where those are drawn that touch something. */
    Map<Probe, Point> points(Drawing drawing) {
        Map<Probe, Point> touching = new EnumMap<>(Probe.class);
        for (Probe probe : Probe.values()) {
            pointOf(probe, drawing).ifPresent(at -> touching.put(probe, at));
        }
        return touching;
    }

    /**
     * Paints those that touch something.
     *
     * @param touching where each is drawn
     * @param rim the colour around each
     */
    static void paint(GraphicsContext graphics, Map<Probe, Point> touching, Color rim) {
        touching.forEach((probe, at) -> paint(graphics, probe, at, rim));
    }

    private static void paint(GraphicsContext graphics, Probe probe, Point at, Color rim) {
        graphics.setStroke(probe.colour());
        graphics.setLineWidth(2.5);
        graphics.strokeLine(at.x(), at.y(), at.x() + 12, at.y() - 14);
        graphics.setFill(probe.colour());
        graphics.fillOval(at.x() + 6, at.y() - 28, 18, 18);
        graphics.setStroke(rim);
        graphics.setLineWidth(1.2);
        graphics.strokeOval(at.x() + 6, at.y() - 28, 18, 18);
        new Lettering(graphics)
                .write(
                        probe.letter(),
                        at.x() + 15,
                        at.y() - 15,
                        Lettering.Face.bold(11),
                        TextAlignment.CENTER,
                        Color.WHITE);
    }
}
