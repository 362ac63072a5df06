package parable.app.wiring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import parable.app.look.Clip;
import parable.app.look.Look;
import parable.app.look.SharpCanvas;
import parable.app.look.Typeface;
import parable.app.look.WhileShown;
import parable.app.sheet.Marked;
import parable.app.sheet.Painter;
import parable.app.sheet.WireMark;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.PanelDrawing;
import parable.draw.PanelSide;
import parable.draw.Point;
import parable.wiring.Wire;

/**
 * The places that the wire in hand has its ends in, or the one that was chosen, side by side. A device is moved with the mouse, or with Ctrl and
 * the arrow keys once it was clicked.
 */
public final class PanelView extends Region {

    private static final double LARGEST_SCALE = 1.15;
    private static final double READABLE = 0.85;
    private static final double HEADING = 24;
    private static final int STEP = 5;

    /** A click this near to a terminal means it, in drawing units. */
    private static final double NEAR = 16;

    private static final Point HERE = new Point(0, 0);

    private final WiringModel model;
    private final Look look;
    private final Supplier<Moment> moment;
    private final SharpCanvas canvas;
    private Optional<View> chosen = Optional.empty();
    private List<Pane> panes = List.of();
    private Optional<String> held = Optional.empty();
    private Optional<Grip> grip = Optional.empty();
    private Point scrolled = HERE;
    private Optional<List<Terminal>> pointed = Optional.empty();
    private Optional<Consumer<String>> asked = Optional.empty();

    /** A place from one side. */
    record View(String place, PanelSide side) {}

    /** A view where it is: from left to right in pixels, and what of its drawing is in its left upper corner. */
    private record Pane(View view, Drawing drawing, double left, double right, double scale, Point corner) {

        Point drawn(double x, double y) {
            return new Point((x - left) / scale + corner.x(), y / scale + corner.y());
        }
    }

    /** A device that is being dragged: where it was taken hold of and where that is now, in drawing units. */
    private record Grip(String tag, Pane pane, Point taken, Point now) {}

    /**
     * The view of the places of a sheet.
     *
     * @param moment any instant of the sheet
     */
    public PanelView(WiringModel model, Look look, Supplier<Moment> moment) {
        this.model = model;
        this.look = look;
        this.moment = moment;
        canvas = new SharpCanvas(look);
        setId("panel");
        getStyleClass().add("sheet");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TEXT);
        Clip.atTheEdgesOf(this);
        getChildren().add(canvas);
        ChangeListener<Object> changed = (any, before, now) -> follow();
        model.listsProperty().addListener(changed);
        model.selectedProperty().addListener((any, before, now) -> {
            chosen = Optional.empty();
            scrolled = HERE;
            follow();
        });
        WhileShown.follow(this, this::follow, look.ofDrawings());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::take);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::drop);
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    }

    private void scroll(ScrollEvent event) {
        if (event.isShortcutDown()) {
            look.enlarge((int) Math.signum(event.getDeltaY()));
        } else {
            scrolled = new Point(scrolled.x() - event.getDeltaX(), scrolled.y() - event.getDeltaY());
            requestLayout();
        }
    }

    /**
     * Tells what is clicked from now on, and lets nothing be moved.
     *
     * @param taken is given a terminal such as {@code K1:A1}, or a device where no terminal is near
     */
    public void onPointedAt(Consumer<String> taken) {
        asked = Optional.of(taken);
    }

    /** The places that can be looked at, with the side from which, in words. */
    public List<String> headings() {
        return views().stream()
                .map(view -> PanelDrawing.heading(view.place(), view.side()))
                .toList();
    }

    /** Shows one of {@link #headings()}. */
    public void show(String heading) {
        views().stream()
                .filter(view -> PanelDrawing.heading(view.place(), view.side()).equals(heading))
                .findFirst()
                .ifPresent(this::choose);
    }

    /** Shows a place whatever wire is in hand, until another wire is taken. */
    void choose(View view) {
        chosen = Optional.of(view);
        scrolled = HERE;
        follow();
    }

    /** The places that can be looked at, from every side that is worth it. */
    List<View> views() {
        List<View> views = new ArrayList<>();
        model.listsProperty().get().ifPresent(lists -> lists.layout()
                .places()
                .forEach(place -> PanelDrawing.sides(place).forEach(side -> views.add(new View(place, side)))));
        return views;
    }

    /** Shows where terminals are, instead of a wire. */
    public void point(List<Terminal> ends) {
        pointed = Optional.of(List.copyOf(ends));
        scrolled = HERE;
        follow();
    }

    /** The wire in hand, unless terminals are pointed out. */
    private Optional<Wire> wire() {
        return pointed.isPresent() ? Optional.empty() : model.wire();
    }

    private List<Terminal> ends() {
        return pointed.orElseGet(
                () -> model.wire().map(wire -> List.of(wire.from(), wire.to())).orElse(List.of()));
    }

    private List<Point> points(Drawing drawing) {
        return ends().stream().flatMap(end -> drawing.pointAt(end).stream()).toList();
    }

    private void follow() {
        setAccessibleText(pointed.map(ends -> "Probes on " + ends)
                .orElseGet(() -> model.wire().map(Wire::words).orElse("No wires")));
        requestLayout();
    }

    private List<View> shown() {
        if (chosen.isPresent()) {
            return List.of(chosen.get());
        }
        Set<String> places = new LinkedHashSet<>();
        ends().forEach(end -> places.add(model.place(end)));
        return places.stream()
                .map(place -> new View(place, PanelDrawing.wiredFrom(place)))
                .toList();
    }

    @Override
    protected void layoutChildren() {
        canvas.resize(getWidth(), getHeight());
        List<Pane> laid = new ArrayList<>();
        List<View> views = shown();
        model.listsProperty().get().ifPresent(lists -> {
            List<Drawing> drawings = views.stream()
                    .map(view -> PanelDrawing.of(lists.assembly(), lists.layout(), view.place(), view.side(), wire()))
                    .toList();
            double whole = drawings.stream().mapToDouble(Drawing::width).sum();
            double left = 0;
            for (int i = 0; i < views.size(); i++) {
                double width = getWidth() * drawings.get(i).width() / whole;
                laid.add(pane(views.get(i), drawings.get(i), left, width));
                left += width;
            }
        });
        panes = laid;
        canvas.paint(this::paint);
    }

    /** Shows all of a place where that is not too small to be read, otherwise what is around the wire. */
    private Pane pane(View view, Drawing drawing, double left, double width) {
        double fits = Math.min(width / drawing.width(), getHeight() / drawing.height());
        double scale = Math.max(READABLE, Math.min(LARGEST_SCALE, fits))
                * look.zoomProperty().get();
        List<Point> way = points(drawing);
        double x = way.stream().mapToDouble(Point::x).average().orElse(0) - width / scale / 2;
        double y = way.stream().mapToDouble(Point::y).average().orElse(0) - getHeight() / scale / 2;
        Point corner = new Point(
                within(x + scrolled.x(), drawing.width() - width / scale),
                within(y + scrolled.y(), drawing.height() - getHeight() / scale));
        return new Pane(view, drawing, left, left + width, scale, corner);
    }

    private static double within(double wanted, double most) {
        return most <= 0 ? 0 : Math.max(0, Math.min(most, wanted));
    }

    private void paint(GraphicsContext graphics) {
        graphics.setFill(look.ink().paper());
        graphics.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        for (Pane pane : panes) {
            graphics.save();
            graphics.beginPath();
            graphics.rect(pane.left(), 0, pane.right() - pane.left(), canvas.getHeight());
            graphics.clip();
            graphics.translate(pane.left(), 0);
            graphics.scale(pane.scale(), pane.scale());
            graphics.translate(-pane.corner().x(), -pane.corner().y());
            new Painter(graphics, look.ink()).paint(still(pane.drawing()), moment.get());
            WireMark.paint(graphics, pane.drawing(), look.ink());
            WireMark.paint(graphics, List.of(), Marked.NOTHING, points(pane.drawing()), look.ink());
            grip.filter(one -> one.pane().view().equals(pane.view())).ifPresent(one -> paint(graphics, one));
            graphics.restore();
            if (pane.corner().y() > 0 || pane.corner().x() > 0) {
                paintHeading(graphics, pane);
            }
        }
    }

    /** Where only a part of a place is seen, its heading stays in view. */
    private void paintHeading(GraphicsContext graphics, Pane pane) {
        graphics.setFill(look.ink().paper());
        graphics.fillRect(pane.left(), 0, pane.right() - pane.left(), HEADING);
        graphics.setFill(look.ink().symbol());
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.setFont(Font.font(Typeface.WORDS, FontWeight.BOLD, Mark.TextRole.HEADING.size()));
        graphics.fillText(PanelDrawing.heading(pane.view().place(), pane.view().side()), pane.left() + 6, HEADING - 7);
    }

    /** The drawing without the wire in hand, which is painted by itself. */
    private static Drawing still(Drawing drawing) {
        return new Drawing(
                drawing.width(),
                drawing.height(),
                drawing.marks().stream()
                        .filter(mark -> !(mark instanceof Mark.WireLine) && !(mark instanceof Mark.Junction))
                        .toList());
    }

    private void paint(GraphicsContext graphics, Grip one) {
        boxOf(one.pane(), one.tag()).ifPresent(box -> {
            graphics.setStroke(look.ink().symbol());
            graphics.setLineWidth(2);
            graphics.setLineDashes(6, 4);
            graphics.strokeRect(
                    box.x() + one.now().x() - one.taken().x(),
                    box.y() + one.now().y() - one.taken().y(),
                    box.width(),
                    box.height());
            graphics.setLineDashes();
        });
    }

    private Optional<Box> boxOf(Pane pane, String tag) {
        return model.listsProperty()
                .get()
                .flatMap(lists -> PanelDrawing.boxOf(
                        lists.layout(), pane.view().place(), pane.view().side(), tag));
    }

    private Optional<Pane> paneAt(double x) {
        return panes.stream()
                .filter(pane -> x >= pane.left() && x <= pane.right())
                .findFirst();
    }

    private void take(MouseEvent event) {
        requestFocus();
        held = Optional.empty();
        paneAt(event.getX()).ifPresent(pane -> {
            Point at = pane.drawn(event.getX(), event.getY());
            if (asked.isPresent()) {
                endAt(pane, at)
                        .map(Terminal::toString)
                        .or(() -> tagAt(pane, at))
                        .ifPresent(asked.get());
                return;
            }
            tagAt(pane, at).ifPresent(tag -> {
                held = Optional.of(tag);
                grip = Optional.of(new Grip(tag, pane, at, at));
                setCursor(Cursor.CLOSED_HAND);
            });
        });
    }

    /** The terminal that is nearest to a point, if one is near. */
    private Optional<Terminal> endAt(Pane pane, Point at) {
        return model.listsProperty().get().stream()
                .flatMap(lists -> lists.wires().wires().stream())
                .flatMap(wire -> Stream.of(wire.from(), wire.to()))
                .distinct()
                .filter(end -> distance(pane, end, at) < NEAR)
                .min(Comparator.comparingDouble(end -> distance(pane, end, at)));
    }

    private static double distance(Pane pane, Terminal end, Point at) {
        return pane.drawing()
                .pointAt(end)
                .map(point -> Math.hypot(point.x() - at.x(), point.y() - at.y()))
                .orElse(Double.MAX_VALUE);
    }

    private Optional<String> tagAt(Pane pane, Point at) {
        return model.listsProperty().get().stream()
                .flatMap(lists -> lists.layout().in(pane.view().place()).keySet().stream())
                .filter(tag -> boxOf(pane, tag)
                        .filter(box -> box.contains(at.x(), at.y()))
                        .isPresent())
                .findFirst();
    }

    private void drag(MouseEvent event) {
        grip = grip.map(
                one -> new Grip(one.tag(), one.pane(), one.taken(), one.pane().drawn(event.getX(), event.getY())));
        canvas.paint(this::paint);
    }

    private void drop(MouseEvent event) {
        setCursor(Cursor.DEFAULT);
        grip.ifPresent(one -> {
            boolean mirrored = one.pane().view().side() == PanelSide.BACK;
            double right = PanelDrawing.millimetres(one.now().x() - one.taken().x()) * (mirrored ? -1 : 1);
            double down = PanelDrawing.millimetres(one.now().y() - one.taken().y());
            if (Math.hypot(right, down) > 2) {
                moveBy(one.tag(), right, down);
            }
        });
        grip = Optional.empty();
        requestLayout();
    }

    private void moveBy(String tag, double right, double down) {
        model.listsProperty().get().map(WiringModel.Lists::layout).ifPresent(layout -> {
            Map<String, ?> there = layout.in(layout.place(tag));
            if (there.containsKey(tag)) {
                model.move(tag, layout.moved(tag, right, down));
            }
        });
    }

    private void key(KeyEvent event) {
        if (event.isShortcutDown() && event.getCode().isArrowKey()) {
            held.ifPresent(tag -> {
                switch (event.getCode()) {
                    case LEFT -> moveBy(tag, -STEP, 0);
                    case RIGHT -> moveBy(tag, STEP, 0);
                    case UP -> moveBy(tag, 0, -STEP);
                    default -> moveBy(tag, 0, STEP);
                }
            });
            event.consume();
        }
    }
}
