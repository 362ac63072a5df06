package parable.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Orientation;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import parable.app.desk.DeskModel;
import parable.app.look.Look;
import parable.app.meter.MeterModel;
import parable.app.meter.Probe;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.desk.Stretch;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.SheetDrawing;
import parable.draw.Subject;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * The drawing of the running sheet. It fits the width; what does not fit the height is scrolled to. Clicks operate the
 * devices where they are drawn, or, for a desk, select them.
 */
public final class SheetView extends Region {

    private static final double LARGEST_SCALE = 1.4;
    private static final double SMALLEST_SCALE = 0.66;
    private static final double READABLE = 0.8;
    private static final double BAR = 12;
    private static final double NEAR = 40;

    private final RunModel run;
    private final Supplier<Practice> practice;
    private final Look look;
    private final Map<String, Handle> handles;
    private final MeterModel meter;
    private final Probes probes;
    private final Consumer<String> ask;
    private final Patches paper = new Patches();
    private final HotSpots hotSpots = new HotSpots(this::bringIntoView);
    private final ScrollBar down = new ScrollBar();
    private final ScrollBar across = new ScrollBar();
    private final ChangeListener<Object> selected = (any, before, now) -> showSelected();
    private final ChangeListener<Object> typed = (any, before, now) -> draft();
    private final ChangeListener<Object> changed = (any, before, now) -> requestLayout();
    private Drawing drawing;
    private Map<String, List<Integer>> numbers = Map.of();
    private Optional<DeskModel> desk = Optional.empty();
    private Optional<Frame> draft = Optional.empty();
    private Marked marked = Marked.NOTHING;
    private Optional<Moment> instead = Optional.empty();
    private Optional<Box> wanted = Optional.empty();
    private boolean spotsFit;
    private double scale = 1;

    /**
     * The view of a running sheet, operated by clicks.
     *
     * @param handles shared with the door, by tag
     * @param ask takes the tag of a device whose symbol is clicked and that cannot be operated there
     */
    public SheetView(
            RunModel run,
            Supplier<Practice> practice,
            Look look,
            Map<String, Handle> handles,
            MeterModel meter,
            Consumer<String> ask) {
        this.run = run;
        this.practice = practice;
        this.look = look;
        this.handles = handles;
        this.meter = meter;
        this.probes = new Probes(meter);
        this.ask = ask;
        setId("sheet");
        getStyleClass().add("sheet");
        down.setOrientation(Orientation.VERTICAL);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        getChildren().addAll(paper, hotSpots, down, across);
        fit();
        run.assemblyProperty().addListener((any, before, sheet) -> fit());
        run.shownProperty().addListener(changed);
        down.valueProperty().addListener(changed);
        across.valueProperty().addListener(changed);
        look.zoomProperty().addListener(changed);
        look.themeProperty().addListener(changed);
        for (Probe probe : Probe.values()) {
            meter.placeProperty(probe).addListener(changed);
        }
        meter.inHandProperty()
                .addListener((any, before, probe) -> setCursor(probe == null ? Cursor.DEFAULT : Cursor.CROSSHAIR));
        addEventFilter(MouseEvent.MOUSE_PRESSED, this::putProbeDown);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::select);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::askAbout);
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
    }

    /** Draws the sheet as it has become. */
    private void fit() {
        drawing = SheetDrawing.of(run.assembly(), practice.get());
        draft = Optional.empty();
        showInstead(instead);
        spotsFit = false;
        requestLayout();
    }

    /** Lets clicks operate what they hit. */
    public void operate() {
        desk.ifPresent(before -> {
            before.selection().stretchProperty().removeListener(changed);
            before.selection().stretchProperty().removeListener(selected);
            before.lineProperty().removeListener(typed);
            before.strokeProperty().removeListener(typed);
        });
        desk = Optional.empty();
        draft = Optional.empty();
        setFocusTraversable(false);
        hotSpots.setVisible(true);
        requestLayout();
    }

    /** Lets clicks select what they hit instead of operating it; operating is left to the keys and the door. */
    public void selectFor(DeskModel model) {
        operate();
        desk = Optional.of(model);
        hotSpots.setVisible(false);
        setFocusTraversable(true);
        model.selection().stretchProperty().addListener(changed);
        model.selection().stretchProperty().addListener(selected);
        model.lineProperty().addListener(typed);
        model.strokeProperty().addListener(typed);
        say();
    }

    /** Shows another instant of the same sheet instead of that of the run, and lets nothing be operated meanwhile; that of the run if empty. */
    public void showInstead(Optional<Moment> other) {
        instead = other.filter(this::isOfThisCircuit);
        hotSpots.setVisible(instead.isEmpty() && desk.isEmpty());
        requestLayout();
    }

    /** An instant of the sheet before an edit says nothing of the sheet after it. */
    private boolean isOfThisCircuit(Moment moment) {
        Sheet drawn = run.assembly().sheet();
        Sheet other = moment.assembly().sheet();
        return drawn.devices().equals(other.devices())
                && drawn.power().equals(other.power())
                && drawn.control().equals(other.control())
                && drawn.rails().equals(other.rails());
    }

    /** Points wires and terminals out, and brings the last of them into view. */
    public void point(Marked what) {
        marked = what;
        Stream.concat(
                        what.wires().stream().flatMap(number -> drawing.pointOn(number).stream()),
                        what.ends().stream().flatMap(end -> drawing.pointAt(end).stream()))
                .forEach(at -> bringIntoView(roomAround(new Box(at.x(), at.y(), 0, 0))));
        requestLayout();
    }

    private double drawingX(MouseEvent event) {
        return (event.getX() + offset(across)) / scale;
    }

    private double drawingY(MouseEvent event) {
        return (event.getY() + offset(down)) / scale;
    }

    private void select(MouseEvent event) {
        desk.ifPresent(model -> {
            drawing.placeAt(drawingX(event), drawingY(event)).ifPresent(place -> {
                if (event.isShiftDown()) {
                    model.selection().reachTo(place);
                } else {
                    model.select(place);
                }
            });
            requestFocus();
        });
    }

    private void askAbout(MouseEvent event) {
        if (desk.isEmpty() && !(event.getTarget() instanceof HotSpot) && event.getButton() == MouseButton.PRIMARY) {
            drawing.symbols()
                    .filter(symbol -> symbol.box().contains(drawingX(event), drawingY(event)))
                    .findFirst()
                    .ifPresent(symbol -> ask.accept(symbol.subject().tag()));
        }
    }

    private void putProbeDown(MouseEvent event) {
        if (meter.inHandProperty().get() != null && event.getButton() == MouseButton.PRIMARY) {
            probes.putDown(drawing, drawingX(event), drawingY(event));
            event.consume();
        }
    }

    private void scroll(ScrollEvent event) {
        if (event.isShortcutDown()) {
            look.enlarge((int) Math.signum(event.getDeltaY()));
        } else {
            scroll(down, -event.getDeltaY());
            scroll(across, -event.getDeltaX());
        }
    }

    private static void scroll(ScrollBar bar, double by) {
        if (bar.isVisible()) {
            bar.setValue(Math.max(bar.getMin(), Math.min(bar.getMax(), bar.getValue() + by)));
        }
    }

    private void bringIntoView(Box box) {
        double above = down.getValue() - box.y() * scale;
        double below = (box.y() + box.height()) * scale - down.getValue() - getHeight();
        scroll(down, above > 0 ? -above : Math.max(0, below));
    }

    private void showSelected() {
        say();
        wanted = desk.flatMap(model -> model.selection().stretchProperty().get())
                .flatMap(this::around)
                .map(SheetView::roomAround);
    }

    /** Says to those who cannot see the drawing what is selected and how it is at this instant. */
    private void say() {
        setAccessibleRole(AccessibleRole.TEXT);
        setAccessibleText(
                desk.map(model -> new Spoken(run).selected(model.selection())).orElse(""));
    }

    /** While something is typed that makes sense, it is drawn, live, as it would be. */
    private void draft() {
        draft = desk.flatMap(model -> model.previewProperty().get().assembly())
                .map(assembly -> Frame.of(assembly, run, practice.get()));
        wanted = draft.flatMap(typed -> typed.firstChangeFrom(run.assembly().sheet()))
                .map(SheetView::roomAround);
        requestLayout();
    }

    private static Box roomAround(Box box) {
        return new Box(box.x() - NEAR, box.y() - NEAR, box.width() + 2 * NEAR, box.height() + 2 * NEAR);
    }

    private Drawing shownDrawing() {
        return draft.map(Frame::drawing).orElse(drawing);
    }

    private Moment shownMoment() {
        if (instead.isPresent()) {
            return instead.get();
        }
        return draft.map(Frame::moment).orElseGet(() -> run.shownProperty().get());
    }

    /** The box around all that is selected, empty if it is not drawn. */
    private Optional<Box> around(Stretch stretch) {
        Place at = stretch.first();
        List<Box> boxes = IntStream.rangeClosed(at.item(), stretch.last())
                .mapToObj(item -> drawing.boxOf(new Place(at.circuit(), at.rung(), item)))
                .flatMap(Optional::stream)
                .toList();
        return boxes.isEmpty() ? Optional.empty() : Optional.of(Box.around(boxes));
    }

    /** The frame around all that is selected: in the ladder with the tag above and the markings at both sides, but not through the words below. */
    private Optional<Box> framed(Stretch stretch) {
        boolean ladder = stretch.first().circuit() == Circuit.CONTROL;
        return around(stretch)
                .map(box -> ladder
                        ? new Box(box.x() - 11, box.y() - 24, box.width() + 22, box.height() + 21)
                        : new Box(box.x() - 2, box.y() - 4, box.width() + 4, box.height() + 8));
    }

    /** Puts the keyboard where it is of use: on the drawing for a desk, otherwise on the first device that can be operated. */
    public void takeKeyboard() {
        if (desk.isPresent()) {
            requestFocus();
        } else {
            beMeasured();
            layout();
            hotSpots.requestFirstFocus();
        }
    }

    /** What has no size yet has nothing that could take the keyboard. */
    private void beMeasured() {
        if (getHeight() == 0 && getScene() != null) {
            getScene().getRoot().applyCss();
            getScene().getRoot().layout();
        }
    }

    /** Puts numbers beside the tags of devices; none if empty. */
    public void number(Map<String, List<Integer>> byTag) {
        numbers = Map.copyOf(byTag);
        requestLayout();
    }

    /** The drawing that is shown. */
    public Drawing drawing() {
        return drawing;
    }

    /** Where a point of the drawing is on the screen. */
    public Point2D onScreen(double x, double y) {
        return localToScreen(x * scale - offset(across), y * scale - offset(down));
    }

    private boolean concerns(Fault fault, Subject subject) {
        Optional<Part> part = run.assembly().part(subject.tag());
        if (part.isEmpty()) {
            return false;
        }
        if (subject instanceof Subject.OfContact of) {
            List<Contact> contacts = part.get().contacts();
            return of.contact() < contacts.size()
                    && fault.isBetween(
                            contacts.get(of.contact()).from(),
                            contacts.get(of.contact()).to());
        }
        return part.get().loads().stream().anyMatch(load -> fault.isBetween(load.from(), load.to()));
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        scale = look.zoomProperty().get() * fittingScale(width - BAR, height - BAR);
        place(down, shownDrawing().height() * scale - height, height);
        place(across, shownDrawing().width() * scale - width, width);
        wanted.ifPresent(this::bringIntoView);
        wanted = Optional.empty();
        down.resizeRelocate(width - BAR, 0, BAR, height);
        across.resizeRelocate(0, height - BAR, width - BAR, BAR);
        hotSpots.resizeRelocate(-offset(across), -offset(down), width, height);
        double top = offset(down) / scale;
        double seen = height / scale;
        if (desk.isEmpty()) {
            if (!spotsFit) {
                hotSpots.fit(run.assembly(), drawing, handles);
                spotsFit = true;
            }
            hotSpots.show(scale, top - seen, top + 2 * seen, run.shownProperty().get());
        }
        Box view = new Box(offset(across), offset(down), width, height);
        paper.show(view, picture(Patches.covering(view)));
    }

    /** How far it is scrolled, in whole pixels: in between everything would be blurred. */
    private static double offset(ScrollBar bar) {
        return Math.rint(bar.getValue());
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

    /** How what lies within a box looks, in pixels. */
    private SheetPicture picture(Box area) {
        Drawing shown = shownDrawing();
        List<Mark> within = shown.marksBetween(
                area.y() / scale - SheetPicture.MARGIN, (area.y() + area.height()) / scale + SheetPicture.MARGIN);
        return new SheetPicture(
                new Sight(shownMoment(), this::concerns, numbers).of(within),
                new SheetPicture.Pointers(
                        probes.points(drawing),
                        marked,
                        marked.ends().stream()
                                .flatMap(end -> drawing.pointAt(end).stream())
                                .toList(),
                        desk.flatMap(model ->
                                        model.selection().stretchProperty().get())
                                .filter(stretch -> draft.isEmpty())
                                .flatMap(this::framed)),
                new SheetPicture.Manner(scale, look.ink()));
    }
}
