package parable.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import parable.app.desk.DeskModel;
import parable.app.look.Clip;
import parable.app.look.Look;
import parable.app.look.WhileShown;
import parable.app.meter.MeterModel;
import parable.app.meter.Probe;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.card.Pick;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.reason.Why;

/**
 * The drawing of the running sheet, as large as it can be read; dragging moves it, the wheel makes it larger or smaller. Clicks operate the
 * devices where they are drawn, or, for a desk, select them.
 */
public final class SheetView extends Region {

    /** The smallest letters of a drawing have 11 units; at this scale they can be read in a workshop. */
    private static final double BAR = 12;

    private static final double NEAR = 40;

    /** A click is on a wire if it is no further from it, in drawing units. */
    private static final double CLOSE = 8;

    private static final double ABOVE_LADDER = 100;
    private static final double RUNGS_TO_SEE = 250;

    private final RunModel run;
    private final Look look;
    private final Map<String, Handle> handles;
    private final MeterModel meter;
    private final Probes probes;
    private final Clicks clicks;
    private final Patches paper = new Patches();
    private final HotSpots hotSpots = new HotSpots(this::bringIntoView);
    private final Movements movements;
    private final Readability readability = new Readability();
    private final Viewport viewport = new Viewport(this::moved);
    private Runnable onMoved = () -> {};
    private final Overview overview;
    private final ChangeListener<Object> selected = (any, before, now) -> showSelected();
    private final ChangeListener<Object> typed = (any, before, now) -> draft();
    private final ChangeListener<Object> changed = (any, before, now) -> requestLayout();
    private final Laid laid;
    private final PaperHand hand;
    private Map<String, List<Integer>> numbers = Map.of();
    private Optional<DeskModel> desk = Optional.empty();
    private List<Why.WayStep> way = List.of();
    private Marked marked = Marked.NOTHING;
    private Optional<Moment> instead = Optional.empty();
    private Optional<Box> wanted = Optional.empty();

    /** The lower edge has the legend on it; what is drawn there can be moved up so far, in pixels. */
    private double foot = 30;

    private boolean spotsFit;
    private boolean probed;

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
        this.look = look;
        this.handles = handles;
        this.meter = meter;
        this.probes = new Probes(meter);
        this.clicks = clicks;
        laid = new Laid(run, practice);
        hand = new PaperHand(viewport, look);
        setId("sheet");
        getStyleClass().add("sheet");
        Clip.atTheEdgesOf(this);
        movements = new Movements(run, look);
        overview = new Overview(look, this::goTo);
        getChildren().addAll(paper, movements, hotSpots, overview, viewport.down(), viewport.across());
        fit(laid.drawing());
        run.assemblyProperty().addListener((any, before, sheet) -> fit());
        run.shownProperty().addListener(changed);
        WhileShown.follow(this, this::requestLayout, look.ofDrawings());
        for (Probe probe : Probe.values()) {
            meter.placeProperty(probe).addListener(changed);
        }
        meter.inHandProperty()
                .addListener((any, before, probe) -> setCursor(probe == null ? Cursor.DEFAULT : Cursor.CROSSHAIR));
        addEventFilter(MouseEvent.MOUSE_PRESSED, this::putProbeDown);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::select);
        hand.hold(this);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::askAbout);
        setOnContextMenuRequested(this::askByKey);
    }

    /** Draws the sheet as it has become. */
    private void fit() {
        laid.draw();
        fit(laid.drawing());
    }

    private void fit(Drawing drawing) {
        movements.fit(drawing);
        showInstead(instead);
        spotsFit = false;
        requestLayout();
    }

    /** Lets clicks operate what they hit. */
    public void operate() {
        desk.ifPresent(before -> {
            before.selection().stretchProperty().removeListener(changed);
            before.selection().stretchProperty().removeListener(selected);
            List.of(before.lineProperty(), before.strokeProperty(), before.offeredProperty())
                    .forEach(value -> value.removeListener(typed));
        });
        desk = Optional.empty();
        laid.draft(Optional.empty());
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
        List.of(model.lineProperty(), model.strokeProperty(), model.offeredProperty())
                .forEach(value -> value.addListener(typed));
        say();
        showLadder();
    }

    /** One draws on the ladder; if its first rungs are out of view they are brought there. */
    private void showLadder() {
        laid.drawing()
                .boxOf(new Place(Circuit.CONTROL, 0, 1))
                .filter(first -> viewport.top() == 0 && getHeight() > 0)
                .filter(first -> first.y() + RUNGS_TO_SEE > viewport.seen().height())
                .ifPresent(first -> viewport.bring(0, first.y() - ABOVE_LADDER, 0, 0));
    }

    /** Keeps so much of the lower edge free, in pixels. */
    public void keepFree(double pixels) {
        foot = pixels;
        requestLayout();
    }

    /** Whether clicks select what they hit, because one draws. */
    public boolean isDrawnOn() {
        return desk.isPresent();
    }

    /** Shows another instant of the same circuit instead of that of the run, and lets nothing be operated meanwhile; that of the run if empty. */
    public void showInstead(Optional<Moment> other) {
        instead = other.filter(
                moment -> run.assembly().sheet().isSameCircuit(moment.assembly().sheet()));
        hotSpots.setVisible(instead.isEmpty() && desk.isEmpty());
        requestLayout();
    }

    /** Points wires and terminals out, and brings the last of them into view. */
    public void point(Marked what) {
        marked = what;
        Stream.concat(
                        what.wires().stream().flatMap(number -> laid.drawing().pointOn(number).stream()),
                        what.ends().stream().flatMap(end -> laid.drawing().pointAt(end).stream()))
                .forEach(at -> bringIntoView(new Box(at.x(), at.y(), 0, 0).widened(NEAR)));
        requestLayout();
    }

    private void select(MouseEvent event) {
        if (event.getButton() == MouseButton.SECONDARY) {
            return;
        }
        desk.ifPresent(model -> {
            laid.drawing()
                    .placeAt(viewport.drawingX(event.getX()), viewport.drawingY(event.getY()))
                    .ifPresent(place -> {
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
        if (event.getButton() == MouseButton.SECONDARY && event.isStillSincePress()) {
            askForMenu(onDrawing(event.getX(), event.getY()));
            return;
        }
        if (desk.isPresent() || event.getButton() != MouseButton.PRIMARY || !event.isStillSincePress()) {
            return;
        }
        if (event.getTarget() instanceof HotSpot spot) {
            clicks.operated(spot.tag());
            return;
        }
        double x = viewport.drawingX(event.getX());
        double y = viewport.drawingY(event.getY());
        laid.drawing()
                .symbols()
                .filter(symbol -> symbol.box().contains(x, y))
                .findFirst()
                .ifPresentOrElse(
                        symbol -> clicks.asked(symbol.subject().tag()),
                        () -> laid.drawing().wireNear(x, y, CLOSE).ifPresent(clicks::wire));
    }

    /** Asks for the menu of something as if it were clicked where it is drawn first; nothing happens if it is not drawn. */
    public void askForMenu(Pick pick) {
        PickBox.on(laid.drawing(), pick)
                .map(box -> new Point2D(box.x() + box.width() / 2, box.y() + box.height() / 2))
                .ifPresent(this::askForMenu);
    }

    private void askForMenu(Point2D at) {
        Point2D screen = onScreen(at.getX(), at.getY());
        clicks.menu(Hit.on(laid.drawing(), at.getX(), at.getY()), screen.getX(), screen.getY());
    }

    /** By the key it is asked for the device that has the focus, or what is selected; a click asks by itself, on every platform alike. */
    private void askByKey(ContextMenuEvent event) {
        if (event.isKeyboardTrigger()) {
            askForMenu(focused(event));
        }
        event.consume();
    }

    private Point2D focused(ContextMenuEvent event) {
        Optional<Box> box = event.getTarget() instanceof HotSpot spot
                ? Optional.of(spot.box())
                : desk.flatMap(model -> model.selection().stretchProperty().get())
                        .flatMap(stretch -> SelectedBox.around(laid.drawing(), stretch));
        return box.map(one -> new Point2D(one.x() + one.width() / 2, one.y() + one.height() / 2))
                .orElseGet(() -> onDrawing(getWidth() / 2, getHeight() / 2));
    }

    private void putProbeDown(MouseEvent event) {
        if (meter.inHandProperty().get() != null
                && event.getButton() == MouseButton.PRIMARY
                && probes.putDown(laid.drawing(), viewport.drawingX(event.getX()), viewport.drawingY(event.getY()))) {
            probed = true;
            event.consume();
        }
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
                .flatMap(stretch -> SelectedBox.around(laid.drawing(), stretch))
                .map(box -> box.widened(NEAR));
    }

    /** Says to those who cannot see the drawing what is selected and how it is at this instant. */
    private void say() {
        setAccessibleRole(AccessibleRole.TEXT);
        setAccessibleText(
                desk.map(model -> new Spoken(run).selected(model.selection())).orElse(""));
    }

    /** While something is typed that makes sense, it is drawn, live, as it would be. */
    private void draft() {
        laid.draft(desk.flatMap(model -> model.offeredProperty()
                .get()
                .orElseGet(() -> model.previewProperty().get())
                .assembly()));
        wanted = laid.draft()
                .flatMap(typed -> typed.firstChangeFrom(run.assembly().sheet()))
                .map(box -> box.widened(NEAR));
        requestLayout();
    }

    private Moment shownMoment() {
        if (instead.isPresent()) {
            return instead.get();
        }
        return laid.draft().map(Frame::moment).orElseGet(() -> run.shownProperty()
                .get());
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

    /** Shows the way of a current, contact by contact; none if empty. */
    public void showWay(List<Why.WayStep> contacts) {
        if (!way.equals(contacts)) {
            way = List.copyOf(contacts);
            requestLayout();
        }
    }

    /** Puts numbers beside the tags of devices; none if empty. */
    public void number(Map<String, List<Integer>> byTag) {
        numbers = Map.copyOf(byTag);
        requestLayout();
    }

    /** The drawing that is shown. */
    public Drawing drawing() {
        return laid.drawing();
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
        bringIntoView(new Box(x, y, 0, 0).widened(NEAR));
    }

    /** Moves no more than is needed to have something of the sheet in view; nothing happens if it is not drawn. */
    public void bringIntoView(Pick pick) {
        PickBox.on(laid.drawing(), pick).ifPresent(box -> bringIntoView(box.widened(NEAR)));
    }

    /** Where a point of the drawing is on the screen. */
    public Point2D onScreen(double x, double y) {
        return localToScreen(inView(x, y));
    }

    @Override
    protected void layoutChildren() {
        double width = getWidth();
        double height = getHeight();
        if (laid.arrange((width - BAR) / Readability.LEAST)) {
            spotsFit = false;
        }
        Drawing whole = laid.shown();
        Box before = viewport.seen();
        double scaleBefore = viewport.scale();
        double scale = look.zoomProperty().get() * fittingScale(width - BAR, height - BAR - foot);
        boolean hides = whole.width() * scale > width || whole.height() * scale + foot > height;
        double free = hides ? Math.max(foot, overview.heightFor(whole) + 2 * foot) : foot;
        viewport.fit(new Box(0, 0, whole.width(), whole.height()), scale, width, height, free);
        if (scale != scaleBefore) {
            Point2D at = hand.takeKept().orElseGet(() -> new Point2D(width / 2, height / 2));
            viewport.bring(
                    before.x() + at.getX() / scaleBefore, before.y() + at.getY() / scaleBefore, at.getX(), at.getY());
        }
        wanted.ifPresent(this::bringIntoView);
        wanted = Optional.empty();
        hotSpots.resizeRelocate(-viewport.left(), -viewport.top(), width, height);
        movements.show(scale, viewport.left(), viewport.top());
        double top = viewport.top() / scale;
        double seen = height / scale;
        if (desk.isEmpty()) {
            if (!spotsFit) {
                hotSpots.fit(run.assembly(), laid.drawing(), handles);
                spotsFit = true;
            }
            hotSpots.show(scale, top - seen, top + 2 * seen, run.shownProperty().get());
        }
        Box view = new Box(viewport.left(), viewport.top(), width, height);
        paper.paintWith(look.magnificationProperty().get());
        paper.show(view, picture(Patches.covering(view)));
        showOverview(whole);
    }

    private void showOverview(Drawing whole) {
        int rungs = run.assembly().sheet().control().size();
        overview.setVisible(viewport.hides() && overview.helps(whole, rungs, getHeight()));
        if (overview.isVisible()) {
            overview.show(whole, rungs, shownMoment(), viewport.seen(), look.ink());
            overview.relocate(
                    getWidth() - overview.getWidth() - 2 * BAR, getHeight() - overview.getHeight() - BAR - foot);
        }
    }

    /** All of the drawing, if that was asked for; otherwise as large as it can be read; what is only offered moves nothing. */
    private double fittingScale(double width, double height) {
        if (look.wholeProperty().get()) {
            return readability.whole(laid.shown(), width, height);
        }
        return readability.at(laid.drawing(), width, height);
    }

    /** How what lies within a box looks, in pixels. */
    private SheetPicture picture(Box area) {
        double scale = viewport.scale();
        Drawing shown = laid.shown();
        List<Mark> within = shown.marksBetween(
                area.y() / scale - SheetPicture.MARGIN, (area.y() + area.height()) / scale + SheetPicture.MARGIN);
        return new SheetPicture(
                new Sight(shownMoment(), new Flaws(run.assembly())::concerns, numbers).of(within),
                new SheetPicture.Pointers(
                        probes.points(laid.drawing()),
                        marked,
                        marked.ends().stream()
                                .flatMap(end -> laid.drawing().pointAt(end).stream())
                                .toList(),
                        desk.flatMap(model ->
                                        model.selection().stretchProperty().get())
                                .filter(stretch -> laid.draft().isEmpty())
                                .flatMap(stretch -> SelectedBox.framed(laid.drawing(), stretch)),
                        laid.draft().isPresent() ? List.of() : WayMark.of(way, laid.drawing())),
                new SheetPicture.Manner(scale, look.ink()));
    }
}
