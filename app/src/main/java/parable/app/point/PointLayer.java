package parable.app.point;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.control.Button;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import parable.app.look.Hint;
import parable.app.look.Look;
import parable.app.point.SpotMarks.SpotMark;
import parable.app.sheet.SheetView;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.draw.Point;
import parable.offer.Spot;
import parable.parts.Assembly;

/** What lies over the drawing while one draws: the place near the pointer where something can go, and the chooser. */
public final class PointLayer extends Pane {

    private static final double NEAR = 30;
    private static final double SIZE = 22;
    private static final double BEGIN = 40;

    private final SheetView sheet;
    private final PointModel model;
    private final ReadOnlyObjectProperty<Assembly> fitted;
    private final Button plus = new Button("+");
    private final Chooser chooser;
    private final BeginPanel begin;
    private Optional<SpotMark> near = Optional.empty();

    /**
     * The layer of a drawing.
     *
     * @param fitted the sheet, fitted out
     * @param questions opens the page of questions
     */
    public PointLayer(
            SheetView sheet,
            PointModel model,
            ReadOnlyObjectProperty<Assembly> fitted,
            Supplier<Practice> practice,
            Look look,
            Runnable questions) {
        this.sheet = sheet;
        this.model = model;
        this.fitted = fitted;
        setId("point-layer");
        setPickOnBounds(false);
        plus.setId("spot-plus");
        plus.getStyleClass().add("spot-plus");
        plus.setManaged(false);
        plus.setVisible(false);
        plus.setFocusTraversable(false);
        Hint.on(plus, "What is to go here? Dragged to another plus of its rung: what is to lead around?");
        plus.setOnAction(event -> near.ifPresent(mark -> model.point(mark.spot())));
        chooser = new Chooser(model, practice, look, this::goAlong);
        begin = new BeginPanel(model, questions);
        SymbolDrag dragging = new SymbolDrag(sheet, new ForDrag());
        BranchDrag branching = new BranchDrag(plus, new ForBranches(), model::point);
        new StretchDrag(sheet, model);
        getChildren().addAll(begin, branching.line(), plus, chooser, dragging.ghost());
        fitted.addListener((any, before, now) -> begin.show(now.sheet()));
        begin.show(fitted.get().sheet());
        model.spotProperty().addListener((any, before, now) -> now.ifPresentOrElse(this::open, this::close));
        sheet.addEventHandler(MouseEvent.MOUSE_MOVED, event -> pointer(event.getX(), event.getY()));
        sheet.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> model.leave());
        sheet.onMoved(() -> plus.setVisible(false));
    }

    /** Where a symbol that is dragged would go is shown as a place that is pointed at. */
    private final class ForDrag implements SymbolDrag.Target {

        @Override
        public boolean isOpen() {
            return getScene() != null;
        }

        @Override
        public Optional<Spot> show(Place dragged, double x, double y) {
            pointer(x, y);
            boolean power = dragged.circuit() == Circuit.POWER;
            near = near.filter(mark -> SpotMarks.isPower(mark.spot()) == power);
            plus.setVisible(near.isPresent());
            return near.map(SpotMark::spot);
        }

        @Override
        public String words(Place place) {
            return model.words(place);
        }

        @Override
        public void drop(Place from, Spot to, boolean copies) {
            if (copies) {
                model.copy(from, to);
            } else {
                model.move(from, to);
            }
        }

        @Override
        public void end() {
            plus.setVisible(false);
        }
    }

    /** The ways to begin are where nothing is drawn: to the right of a power circuit, else in the corner. */
    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        boolean power = !fitted.get().sheet().power().isEmpty();
        begin.relocate(power ? getWidth() - begin.getWidth() - BEGIN : BEGIN, power ? 3 * BEGIN : BEGIN);
    }

    private SpotMarks marks() {
        return new SpotMarks(fitted.get(), sheet.drawing());
    }

    private void pointer(double x, double y) {
        if (getScene() == null || chooser.isVisible()) {
            return;
        }
        Point2D drawn = sheet.onDrawing(x, y);
        near = marks().near(drawn.getX(), drawn.getY(), NEAR / sheet.scale());
        plus.setVisible(near.isPresent());
        near.ifPresent(mark -> place(mark.at(), mark.spot()));
    }

    /** A branch begins and ends where something can go. */
    private final class ForBranches implements BranchDrag.Ends {

        @Override
        public Optional<BranchDrag.End> near(double x, double y) {
            Point2D drawn = sheet.onDrawing(x, y);
            return marks().near(drawn.getX(), drawn.getY(), NEAR / sheet.scale())
                    .map(mark -> new BranchDrag.End(
                            mark.spot(), sheet.inView(mark.at().x(), mark.at().y())));
        }

        @Override
        public Optional<Spot> around(Spot one, Spot other) {
            return marks().around(one, other);
        }
    }

    private void place(Point at, Spot spot) {
        Point2D there = sheet.inView(at.x(), at.y());
        plus.resizeRelocate(Math.rint(there.getX() - SIZE / 2), Math.rint(there.getY() - SIZE / 2), SIZE, SIZE);
        plus.setAccessibleText(spot.words());
    }

    /** Opens the chooser at the place where one would go on from what is selected; a new rung if nothing is. */
    public void begin(Optional<Spot> at) {
        model.point(at.orElseGet(
                () -> new Spot.NewRung(fitted.get().sheet().control().size())));
    }

    private void open(Spot spot) {
        begin.setVisible(false);
        Optional<Point> at = marks().at(spot);
        at.ifPresent(point -> sheet.bringIntoView(point.x(), point.y()));
        Point2D there = at.map(point -> sheet.inView(point.x(), point.y()))
                .orElseGet(() -> new Point2D(getWidth() / 2, getHeight() / 4));
        double right = marks().right(spot).orElse(0.0);
        chooser.open(there.getX(), there.getY(), sheet.inView(right, 0).getX(), this);
        plus.setVisible(false);
    }

    private void close() {
        begin.show(fitted.get().sheet());
        boolean had = chooser.isFocusWithin();
        chooser.close();
        if (had) {
            sheet.requestFocus();
        }
    }

    /** Goes to the next place of the rung, or to the one before. */
    private void goAlong(int sense) {
        model.spotProperty().get().ifPresent(now -> {
            List<Spot> all = marks().beside(now).stream().map(SpotMark::spot).toList();
            if (!all.isEmpty()) {
                int at = Math.max(0, all.indexOf(now));
                model.point(all.get(Math.floorMod(at + sense, all.size())));
            }
        });
    }

    /** Opens the chooser with the whole steps of the trade at a contactor or relay. */
    public void beginSteps(String tag) {
        model.pointSteps(tag);
    }

    /** Puts the keyboard on the first of the ways to begin; returns whether they are shown. */
    public boolean takeKeyboard() {
        return begin.takeKeyboard();
    }

    /** Closes the chooser; nothing is put anywhere. */
    public void leave() {
        model.leave();
    }

    /** Whether something is being chosen. */
    public boolean isOpen() {
        return chooser.isVisible();
    }
}
