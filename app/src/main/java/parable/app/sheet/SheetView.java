package parable.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
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
import parable.draw.Arrangement;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.SheetDrawing;
import parable.draw.Subject;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * The drawing of the running sheet, as large as it can be read; dragging moves it, the wheel makes it larger or smaller. Clicks operate the
 * devices where they are drawn, or, for a desk, select them.
 */
public final class SheetView extends Region {

    /** The smallest letters of a drawing have 11 units; at this scale they can be read in a workshop. */
    private static final double READABLE = 1;

    private static final double LARGEST_SCALE = 1.4;
    private static final double BAR = 12;
    private static final double NEAR = 40;

    /** A click is on a wire if it is no further from it, in drawing units. */
    private static final double CLOSE = 8;

    /** The lower edge has the legend on it; what is drawn there can be moved up so far, in pixels. */
    private static final double FOOT = 30;

    private static final double ABOVE_LADDER = 100;
    private static final double RUNGS_TO_SEE = 250;

    /** Of a very large drawing an overview would be one grey patch. */
    private static final int MOST_IN_OVERVIEW = 20_000;

    private final RunModel run;
    private final Supplier<Practice> practice;
    private final Look look;
    private final Map<String, Handle> handles;
    private final MeterModel meter;
    private final Probes probes;
    private final Clicks clicks;
    private final Patches paper = new Patches();
    private final HotSpots hotSpots = new HotSpots(this::bringIntoView);
    private final Viewport viewport = new Viewport(this::moved);
    private Runnable onMoved = () -> {};
    private final Overview overview = new Overview(this::goTo);
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
    private Optional<Point2D> held = Optional.empty();
    private Optional<Point2D> kept = Optional.empty();
    private boolean spotsFit;
    private boolean probed;
    private Arrangement arrangement = Arrangement.BESIDE;
    private double arrangedFor;

    /**
     * The view of a running sheet, operated by clicks.
     *
     * @param handles shared with the door, by tag
     * @param clicks takes what is clicked
     */
    public SheetView(
            RunModel run,
            Supplier<Practice> practice,
            Look look,
            Map<String, Handle> handles,
            MeterModel meter,
            Clicks clicks) {
        this.run = run;
        this.practice = practice;
        this.look = look;
        this.handles = handles;
        this.meter = meter;
        this.probes = new Probes(meter);
        this.clicks = clicks;
        setId("sheet");
        getStyleClass().add("sheet");
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        getChildren().addAll(paper, hotSpots, overview, viewport.down(), viewport.across());
        fit();
        run.assemblyProperty().addListener((any, before, sheet) -> fit());
        run.shownProperty().addListener(changed);
        look.zoomProperty().addListener(changed);
        look.wholeProperty().addListener(changed);
        look.themeProperty().addListener(changed);
        for (Probe probe : Probe.values()) {
            meter.placeProperty(probe).addListener(changed);
        }
        meter.inHandProperty()
                .addListener((any, before, probe) -> setCursor(probe == null ? Cursor.DEFAULT : Cursor.CROSSHAIR));
        addEventFilter(MouseEvent.MOUSE_PRESSED, this::putProbeDown);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::select);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::grip);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::askAbout);
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
    }

    /** Draws the sheet as it has become. */
    private void fit() {
        drawing = SheetDrawing.of(run.assembly(), practice.get(), arrangement);
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
            before.offeredProperty().removeListener(typed);
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
        model.offeredProperty().addListener(typed);
        say();
        showLadder();
    }

    /** One draws on the ladder; if its first rungs are out of view they are brought there. */
    private void showLadder() {
        drawing.boxOf(new Place(Circuit.CONTROL, 0, 1))
                .filter(first -> viewport.top() == 0 && getHeight() > 0)
                .filter(first -> first.y() + RUNGS_TO_SEE > viewport.seen().height())
                .ifPresent(first -> viewport.bring(0, first.y() - ABOVE_LADDER, 0, 0));
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
        return viewport.drawingX(event.getX());
    }

    private double drawingY(MouseEvent event) {
        return viewport.drawingY(event.getY());
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
        if (probed) {
            probed = false;
            return;
        }
        if (desk.isPresent() || event.getButton() != MouseButton.PRIMARY || !event.isStillSincePress()) {
            return;
        }
        if (event.getTarget() instanceof HotSpot spot) {
            clicks.operated(spot.tag());
            return;
        }
        double x = drawingX(event);
        double y = drawingY(event);
        drawing.symbols()
                .filter(symbol -> symbol.box().contains(x, y))
                .findFirst()
                .ifPresentOrElse(symbol -> clicks.asked(symbol.subject().tag()), () -> drawing.wireNear(x, y, CLOSE)
                        .ifPresent(clicks::wire));
    }

    private void putProbeDown(MouseEvent event) {
        if (meter.inHandProperty().get() != null && event.getButton() == MouseButton.PRIMARY) {
            probes.putDown(drawing, drawingX(event), drawingY(event));
            probed = true;
            event.consume();
        }
    }

    /** The wheel makes the drawing larger or smaller around what is under the pointer; with Shift it moves it. */
    private void scroll(ScrollEvent event) {
        if (event.isShiftDown() || event.getDeltaY() == 0) {
            viewport.moveBy(-event.getDeltaX(), -event.getDeltaY());
        } else {
            kept = Optional.of(new Point2D(event.getX(), event.getY()));
            look.enlarge((int) Math.signum(event.getDeltaY()));
        }
    }

    /** The paper is taken hold of where nothing is operated. */
    private void grip(MouseEvent event) {
        boolean grips = event.getButton() == MouseButton.MIDDLE
                || event.getButton() == MouseButton.PRIMARY && !(event.getTarget() instanceof HotSpot);
        held = grips ? Optional.of(new Point2D(event.getX(), event.getY())) : Optional.empty();
    }

    private void drag(MouseEvent event) {
        held.ifPresent(from -> {
            viewport.moveBy(from.getX() - event.getX(), from.getY() - event.getY());
            held = Optional.of(new Point2D(event.getX(), event.getY()));
        });
    }

    private void goTo(double x, double y) {
        viewport.bring(x, y, getWidth() / 2, getHeight() / 2);
    }

    private void bringIntoView(Box box) {
        viewport.bringIntoView(box);
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
        draft = desk.flatMap(model -> model.offeredProperty()
                        .get()
                        .orElseGet(() -> model.previewProperty().get())
                        .assembly())
                .map(assembly -> Frame.of(assembly, run, practice.get(), arrangement));
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
            hotSpots.requestFirstFocus(viewport.seen());
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

    /** Calls this whenever another part of the drawing comes into view. */
    public void onMoved(Runnable action) {
        onMoved = action;
    }

    private void moved() {
        requestLayout();
        onMoved.run();
    }

    /** Pixels for a unit of the drawing. */
    public double scale() {
        return viewport.scale();
    }

    /** Where on the drawing a point of this view is. */
    public Point2D onDrawing(double x, double y) {
        return new Point2D(viewport.drawingX(x), viewport.drawingY(y));
    }

    /** Where in this view a point of the drawing is. */
    public Point2D inView(double x, double y) {
        return new Point2D(x * viewport.scale() - viewport.left(), y * viewport.scale() - viewport.top());
    }

    /** Moves no more than is needed to have a point of the drawing in view, with some room around it. */
    public void bringIntoView(double x, double y) {
        bringIntoView(roomAround(new Box(x, y, 0, 0)));
    }

    /** Where a point of the drawing is on the screen. */
    public Point2D onScreen(double x, double y) {
        return localToScreen(inView(x, y));
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
        arrange(width - BAR);
        Drawing whole = shownDrawing();
        Box before = viewport.seen();
        double scaleBefore = viewport.scale();
        double scale = look.zoomProperty().get() * fittingScale(width - BAR, height - BAR - FOOT);
        boolean hides = whole.width() * scale > width || whole.height() * scale + FOOT > height;
        double foot = hides ? Math.max(FOOT, Overview.heightFor(whole) + 2 * FOOT) : FOOT;
        viewport.fit(new Box(0, 0, whole.width(), whole.height()), scale, width, height, foot);
        if (scale != scaleBefore) {
            Point2D at = kept.orElseGet(() -> new Point2D(width / 2, height / 2));
            viewport.bring(
                    before.x() + at.getX() / scaleBefore, before.y() + at.getY() / scaleBefore, at.getX(), at.getY());
        }
        kept = Optional.empty();
        wanted.ifPresent(this::bringIntoView);
        wanted = Optional.empty();
        hotSpots.resizeRelocate(-viewport.left(), -viewport.top(), width, height);
        double top = viewport.top() / scale;
        double seen = height / scale;
        if (desk.isEmpty()) {
            if (!spotsFit) {
                hotSpots.fit(run.assembly(), drawing, handles);
                spotsFit = true;
            }
            hotSpots.show(scale, top - seen, top + 2 * seen, run.shownProperty().get());
        }
        Box view = new Box(viewport.left(), viewport.top(), width, height);
        paper.show(view, picture(Patches.covering(view)));
        showOverview(whole);
    }

    /** The ladder is beside the power circuit where both can be read there, else below it. An edit that makes both narrower leaves it below: nothing is to jump. */
    private void arrange(double width) {
        boolean resized = width != arrangedFor;
        boolean tooWide = arrangement == Arrangement.BESIDE && READABLE * drawing.width() > width;
        if (width <= 0 || !resized && !tooWide) {
            return;
        }
        arrangedFor = width;
        boolean fits = !tooWide
                && READABLE
                                * SheetDrawing.of(run.assembly(), practice.get(), Arrangement.BESIDE)
                                        .width()
                        <= width;
        Arrangement wantedNow = fits ? Arrangement.BESIDE : Arrangement.BELOW;
        if (wantedNow != arrangement) {
            arrangement = wantedNow;
            drawing = SheetDrawing.of(run.assembly(), practice.get(), arrangement);
            spotsFit = false;
            draft = draft.map(typedNow -> Frame.of(typedNow.moment().assembly(), run, practice.get(), arrangement));
        }
    }

    private void showOverview(Drawing whole) {
        List<Mark> marks = viewport.hides() ? whole.marks() : List.of();
        overview.setVisible(!marks.isEmpty() && marks.size() < MOST_IN_OVERVIEW);
        if (overview.isVisible()) {
            List<Mark> strokes = marks.stream()
                    .filter(mark -> mark instanceof Mark.WireLine || mark instanceof Mark.Symbol)
                    .toList();
            overview.show(
                    whole, new Sight(shownMoment(), this::concerns, Map.of()).of(strokes), viewport.seen(), look.ink());
            overview.relocate(
                    getWidth() - overview.getWidth() - 2 * BAR, getHeight() - overview.getHeight() - BAR - FOOT);
        }
    }

    /** All of the drawing, if that was asked for; otherwise as large as it can be read, larger if there is room. */
    private double fittingScale(double width, double height) {
        double fits =
                Math.min(width / shownDrawing().width(), height / shownDrawing().height());
        return Math.min(LARGEST_SCALE, look.wholeProperty().get() ? fits : Math.max(READABLE, fits));
    }

    /** How what lies within a box looks, in pixels. */
    private SheetPicture picture(Box area) {
        double scale = viewport.scale();
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
