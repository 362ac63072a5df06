package parable.app.sheet;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Orientation;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.TextAlignment;
import parable.app.Typeface;
import parable.app.desk.DeskModel;
import parable.app.desk.Selection;
import parable.app.look.Look;
import parable.app.meter.MeterModel;
import parable.app.meter.Probe;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Fault;
import parable.bench.Meter;
import parable.bench.Moment;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.draw.Subject;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Part;
import parable.parts.PartException;

/** The drawing of the running sheet. It fits the width; what does not fit the height is scrolled to. */
public final class SheetView extends Region {

    private static final double LARGEST_SCALE = 1.4;
    private static final double SMALLEST_SCALE = 0.66;
    private static final double READABLE = 0.8;
    private static final double BAR = 12;
    private static final double REACH = 9;
    private static final double CLAMP_REACH = 24;

    private final RunModel run;
    private final Drawing drawing;
    private final Canvas canvas = new Canvas();
    private final Pane overlay = new Pane();
    private final ScrollBar down = new ScrollBar();
    private final ScrollBar across = new ScrollBar();
    private final Map<Probe, Point> probePoints = new EnumMap<>(Probe.class);
    private final List<HotSpot> hotSpots = new ArrayList<>();
    private final MeterModel meter;
    private final Map<String, Handle> handles;
    private final Practice practice;
    private final Look look;
    private final ChangeListener<Object> changed = (any, before, now) -> paint();
    private final WeakChangeListener<Object> repaint = new WeakChangeListener<>(changed);
    private final ChangeListener<Object> typed = (any, before, now) -> draft();
    private final WeakChangeListener<Object> draftAnew = new WeakChangeListener<>(typed);
    private final ChangeListener<Object> zoomed = (any, before, now) -> requestLayout();
    private final WeakChangeListener<Object> layOutAnew = new WeakChangeListener<>(zoomed);
    private final ChangeListener<Object> selected = (any, before, now) -> say();
    private final WeakChangeListener<Object> sayAnew = new WeakChangeListener<>(selected);
    private Optional<DeskModel> desk = Optional.empty();
    private Optional<Draft> draft = Optional.empty();
    private double scale = 1;

    /** The view of a running sheet; the handles are shared with the door, by tag. */
    public SheetView(RunModel run, Practice practice, Look look, Map<String, Handle> handles, MeterModel meter) {
        this.run = run;
        this.meter = meter;
        this.practice = practice;
        this.look = look;
        this.drawing = SheetDrawing.of(run.assembly(), practice);
        setId("sheet");
        getStyleClass().add("sheet");
        down.setOrientation(Orientation.VERTICAL);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        overlay.setPickOnBounds(false);
        getChildren().addAll(canvas, overlay, down, across);
        this.handles = handles;
        run.shownProperty().addListener((any, before, moment) -> paint());
        down.valueProperty().addListener((any, before, value) -> requestLayout());
        across.valueProperty().addListener((any, before, value) -> requestLayout());
        for (Probe probe : Probe.values()) {
            meter.placeProperty(probe).addListener((any, before, place) -> paint());
        }
        meter.inHandProperty()
                .addListener((any, before, probe) -> setCursor(probe == null ? Cursor.DEFAULT : Cursor.CROSSHAIR));
        addEventFilter(MouseEvent.MOUSE_PRESSED, this::putProbeDown);
        look.zoomProperty().addListener(layOutAnew);
        addEventHandler(ScrollEvent.SCROLL, event -> {
            if (event.isShortcutDown()) {
                look.enlarge((int) Math.signum(event.getDeltaY()));
                return;
            }
            scroll(down, -event.getDeltaY());
            scroll(across, -event.getDeltaX());
        });
    }

    /** Lets clicks select what they hit instead of operating it; operating is left to the keys and the door. */
    public void selectFor(DeskModel desk) {
        this.desk = Optional.of(desk);
        desk.selection().stretchProperty().addListener(repaint);
        desk.selection().stretchProperty().addListener(sayAnew);
        say();
        desk.lineProperty().addListener(draftAnew);
        desk.strokeProperty().addListener(draftAnew);
        addEventHandler(MouseEvent.MOUSE_PRESSED, event -> {
            double x = (event.getX() + across.getValue()) / scale;
            double y = (event.getY() + down.getValue()) / scale;
            drawing.placeAt(x, y).ifPresent(place -> {
                if (event.isShiftDown()) {
                    desk.selection().reachTo(place);
                } else {
                    desk.select(place);
                }
            });
            requestFocus();
        });
    }

    /** Says to those who cannot see the drawing what is selected and how it is at this instant. */
    private void say() {
        setAccessibleRole(AccessibleRole.TEXT);
        setAccessibleText(desk.map(model -> model.selection().words()).orElse("")
                + desk.flatMap(model -> model.selection().stretchProperty().get())
                        .filter(stretch -> stretch.first().item() == stretch.last())
                        .flatMap(stretch -> stateAt(stretch.at()))
                        .map(state -> ", now " + state)
                        .orElse(""));
    }

    private Optional<String> stateAt(Place place) {
        List<Rung> rungs = run.assembly().sheet().rungs(place.circuit());
        boolean there = place.rung() < rungs.size()
                && place.item() < rungs.get(place.rung()).items().size();
        if (!there || !(rungs.get(place.rung()).items().get(place.item()) instanceof RungItem.Passage passage)) {
            return Optional.empty();
        }
        Part part = run.assembly().part(passage.tag()).orElseThrow();
        Moment moment = run.shownProperty().get();
        return part.contactBetween(passage.from(), passage.to())
                .map(contact -> moment.closed(part.tag(), contact) ? "closed" : "open")
                .or(() -> part.loadBetween(passage.from(), passage.to())
                        .map(load -> moment.energised(part.tag(), load) ? "energised" : "not energised"));
    }

    /** While something is typed that makes sense, it is drawn, live, as it would be. */
    private void draft() {
        draft = desk.flatMap(model -> model.preview().sheet()).flatMap(this::drafted);
        requestLayout();
    }

    private Optional<Draft> drafted(Sheet sheet) {
        try {
            Assembly assembly = Assembly.of(sheet);
            return Optional.of(new Draft(SheetDrawing.of(assembly, practice), run.previewOf(assembly)));
        } catch (PartException impossible) {
            return Optional.empty();
        }
    }

    /** A drawing of what is being typed. */
    private record Draft(Drawing drawing, Moment moment) {}

    private Drawing shownDrawing() {
        return draft.map(Draft::drawing).orElse(drawing);
    }

    private Moment shownMoment() {
        return draft.map(Draft::moment).orElseGet(() -> run.shownProperty().get());
    }

    private void paintSelection(GraphicsContext graphics) {
        desk.flatMap(model -> model.selection().stretchProperty().get())
                .filter(stretch -> draft.isEmpty())
                .flatMap(this::around)
                .ifPresent(box -> {
                    graphics.setStroke(look.ink().symbol());
                    graphics.setLineWidth(2.4);
                    graphics.setLineDashes(9, 4);
                    graphics.strokeRoundRect(box.x() - 2, box.y() - 4, box.width() + 4, box.height() + 8, 8, 8);
                    graphics.setLineDashes();
                });
    }

    /** The box around all that is selected, empty if it is not drawn. */
    private Optional<Box> around(Selection.Stretch stretch) {
        Place at = stretch.first();
        List<Box> boxes = IntStream.rangeClosed(at.item(), stretch.last())
                .mapToObj(item -> drawing.boxOf(new Place(at.circuit(), at.rung(), item)))
                .flatMap(Optional::stream)
                .toList();
        return boxes.isEmpty() ? Optional.empty() : Optional.of(around(boxes));
    }

    /** Puts the probe that is in hand on the wire that was clicked; a click on nothing leaves it in hand. */
    private void putProbeDown(MouseEvent event) {
        Probe probe = meter.inHandProperty().get();
        if (probe == null || event.getButton() != MouseButton.PRIMARY) {
            return;
        }
        double x = (event.getX() + across.getValue()) / scale;
        double y = (event.getY() + down.getValue()) / scale;
        boolean clamp = meter.rangeProperty().get() == Meter.Range.AMPERES;
        Optional<String> place =
                clamp ? drawing.terminalNear(x, y, CLAMP_REACH).map(Terminal::toString) : drawing.wireNear(x, y, REACH);
        place.ifPresent(name -> {
            probePoints.put(probe, new Point(x, y));
            meter.placeProperty(probe).set(name);
            meter.inHandProperty().set(null);
        });
        event.consume();
    }

    /** Where a probe is drawn: where it was put down, or on a wire of the place that was typed. */
    private Optional<Point> pointOf(Probe probe) {
        String place = meter.placeProperty(probe).get().strip();
        Optional<Point> put = Optional.ofNullable(probePoints.get(probe))
                .filter(point -> drawing.wireNear(point.x(), point.y(), REACH).equals(Optional.of(place)));
        String[] sides = place.split(":", 2);
        return put.or(
                () -> sides.length < 2 ? drawing.pointOn(place) : drawing.pointAt(new Terminal(sides[0], sides[1])));
    }

    private void paintProbes(GraphicsContext graphics) {
        graphics.setFont(Font.font(Typeface.WORDS, FontWeight.BOLD, 11));
        graphics.setTextAlign(TextAlignment.CENTER);
        for (Probe probe : Probe.values()) {
            pointOf(probe).ifPresent(at -> {
                graphics.setStroke(probe.colour());
                graphics.setLineWidth(2.5);
                graphics.strokeLine(at.x(), at.y(), at.x() + 12, at.y() - 14);
                graphics.setFill(probe.colour());
                graphics.fillOval(at.x() + 6, at.y() - 28, 18, 18);
                graphics.setStroke(look.ink().symbol());
                graphics.setLineWidth(1.2);
                graphics.strokeOval(at.x() + 6, at.y() - 28, 18, 18);
                graphics.setFill(Color.WHITE);
                graphics.fillText(probe.letter(), at.x() + 15, at.y() - 15);
            });
        }
    }

    /**
     * Lets clicks and keys operate the devices where they are drawn.
     *
     * @param ask takes the tag of a device whose symbol is clicked and that cannot be operated there
     */
    public void operate(Consumer<String> ask) {
        addHotSpots();
        addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
            if (!(event.getTarget() instanceof HotSpot) && event.getButton() == MouseButton.PRIMARY) {
                double x = (event.getX() + across.getValue()) / scale;
                double y = (event.getY() + down.getValue()) / scale;
                drawing.symbols()
                        .filter(symbol -> symbol.box().contains(x, y))
                        .findFirst()
                        .ifPresent(symbol -> ask.accept(symbol.subject().tag()));
            }
        });
        requestLayout();
    }

    /** Puts the keyboard on the first device that can be operated. */
    public void requestFirstFocus() {
        hotSpots.stream().findFirst().ifPresent(spot -> spot.requestFocus());
    }

    /** The drawing that is shown. */
    public Drawing drawing() {
        return drawing;
    }

    /** Where a point of the drawing is on the screen. */
    public Point2D onScreen(double x, double y) {
        return localToScreen(x * scale - across.getValue(), y * scale - down.getValue());
    }

    private static void scroll(ScrollBar bar, double by) {
        if (bar.isVisible()) {
            bar.setValue(Math.max(bar.getMin(), Math.min(bar.getMax(), bar.getValue() + by)));
        }
    }

    private void addHotSpots() {
        Map<List<Object>, List<Box>> boxes = new LinkedHashMap<>();
        drawing.symbols()
                .filter(symbol -> handles.containsKey(symbol.subject().tag()))
                .forEach(symbol -> {
                    if (isOperatedHere(symbol)) {
                        boxes.computeIfAbsent(
                                        List.of(
                                                symbol.subject().tag(),
                                                isPole(symbol) ? symbol.box().y() : symbol.box()),
                                        any -> new ArrayList<>())
                                .add(symbol.box());
                    }
                });
        boxes.forEach((key, places) -> hotSpots.add(new HotSpot(handles.get((String) key.get(0)), around(places))));
        overlay.getChildren().addAll(hotSpots);
    }

    /** An overload relay is operated at its heaters, not at each of its contacts. */
    private boolean isOperatedHere(Mark.Symbol symbol) {
        Part part = run.assembly().part(symbol.subject().tag()).orElseThrow();
        boolean hasPoles = part.contacts().stream().anyMatch(contact -> contact.pole());
        return !(symbol.subject() instanceof Subject.OfContact contact)
                || !hasPoles
                || part.contacts().get(contact.contact()).pole();
    }

    private boolean isPole(Mark.Symbol symbol) {
        return symbol.subject() instanceof Subject.OfContact contact
                && contactOf(contact).pole();
    }

    private boolean concerns(Fault fault, Subject subject) {
        boolean drafted = subject instanceof Subject.OfContact of
                && of.contact()
                        >= run.assembly()
                                .part(of.tag())
                                .map(part -> part.contacts().size())
                                .orElse(0);
        if (drafted) {
            return false;
        }
        if (subject instanceof Subject.OfContact of) {
            Contact contact = contactOf(of);
            return fault.isBetween(contact.from(), contact.to());
        }
        return run.assembly().part(subject.tag()).orElseThrow().loads().stream()
                .anyMatch(load -> fault.isBetween(load.from(), load.to()));
    }

    private Contact contactOf(Subject.OfContact subject) {
        return run.assembly().part(subject.tag()).orElseThrow().contacts().get(subject.contact());
    }

    private static Box around(List<Box> boxes) {
        double left = boxes.stream().mapToDouble(Box::x).min().orElseThrow();
        double top = boxes.stream().mapToDouble(Box::y).min().orElseThrow();
        double right =
                boxes.stream().mapToDouble(box -> box.x() + box.width()).max().orElseThrow();
        double bottom =
                boxes.stream().mapToDouble(box -> box.y() + box.height()).max().orElseThrow();
        return new Box(left, top, right - left, bottom - top);
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        scale = look.zoomProperty().get() * fittingScale(width - BAR, height - BAR);
        canvas.setWidth(width);
        canvas.setHeight(height);
        place(down, shownDrawing().height() * scale - height, height);
        place(across, shownDrawing().width() * scale - width, width);
        down.resizeRelocate(width - BAR, 0, BAR, height);
        across.resizeRelocate(0, height - BAR, width - BAR, BAR);
        overlay.resizeRelocate(-across.getValue(), -down.getValue(), width, height);
        for (HotSpot spot : hotSpots) {
            Box box = spot.box();
            spot.resizeRelocate(box.x() * scale, box.y() * scale, box.width() * scale, box.height() * scale);
        }
        paint();
    }

    /** Shows all of the drawing where that is not too small to be read; otherwise its width, and it is scrolled. */
    private double fittingScale(double width, double height) {
        double byWidth = width / shownDrawing().width();
        double byHeight = height / shownDrawing().height();
        double wanted = byHeight >= READABLE ? Math.min(byWidth, byHeight) : Math.min(byWidth, 1);
        return Math.max(SMALLEST_SCALE, Math.min(LARGEST_SCALE, wanted));
    }

    private static void place(ScrollBar bar, double hidden, double shown) {
        bar.setVisible(hidden > 0);
        bar.setMax(Math.max(0, hidden));
        bar.setVisibleAmount(Math.max(1, shown * hidden / (shown + Math.max(1, hidden))));
        if (bar.getValue() > bar.getMax()) {
            bar.setValue(bar.getMax());
        }
    }

    private void paint() {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.save();
        graphics.setFill(look.ink().paper());
        graphics.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        graphics.translate(-across.getValue(), -down.getValue());
        graphics.scale(scale, scale);
        new Painter(graphics, look.ink(), this::concerns)
                .paint(shownDrawing(), shownMoment(), down.getValue() / scale, (down.getValue() + getHeight()) / scale);
        paintProbes(graphics);
        paintSelection(graphics);
        graphics.restore();
        hotSpots.forEach(spot -> spot.show(run.shownProperty().get()));
    }
}
