package parable.app.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;
import parable.app.desk.StrokeKey;
import parable.app.point.PointLayer;
import parable.offer.Spot;

/** Drawing: the sheet is changed, rung by rung. */
public final class DrawStep implements StepPage {

    /** The leaf with the line that is typed in. */
    public static final String DESK = "desk";

    private final Board board;
    private final Supplier<DeskModel> makeDesk;
    private final Supplier<DeskView> makeView;
    private final Supplier<PointLayer> makeLayer;
    private final Runnable openDesk;
    private Optional<PointLayer> layer = Optional.empty();
    private Optional<DeskModel> desk = Optional.empty();
    private Optional<DeskView> view = Optional.empty();

    /**
     * The step.
     *
     * @param desk makes the desk, once it is needed
     * @param view makes its view, from the desk of {@link #desk()}
     * @param layer makes what lies over the drawing, from the same
     * @param openDesk opens the leaf with the line that is typed in
     */
    public DrawStep(
            Board board,
            Supplier<DeskModel> desk,
            Supplier<DeskView> view,
            Supplier<PointLayer> layer,
            Runnable openDesk) {
        this.board = board;
        makeDesk = desk;
        makeView = view;
        makeLayer = layer;
        this.openDesk = openDesk;
    }

    /** The desk of the sheet. */
    public DeskModel desk() {
        if (desk.isEmpty()) {
            desk = Optional.of(makeDesk.get());
        }
        return desk.get();
    }

    private DeskView view() {
        if (view.isEmpty()) {
            view = Optional.of(makeView.get());
        }
        return view.get();
    }

    /** Opens the chooser at a place. */
    public void choose(Spot spot) {
        layer().begin(Optional.of(spot));
    }

    /** Opens the chooser with the whole steps of the trade at a contactor or relay. */
    public void chooseSteps(String tag) {
        layer().beginSteps(tag);
    }

    private PointLayer layer() {
        if (layer.isEmpty()) {
            layer = Optional.of(makeLayer.get());
        }
        return layer.get();
    }

    @Override
    public Node centre() {
        Node whole = board.whole("Point at a wire or below a contact: + puts something there.");
        layer().leave();
        board.sheet().selectFor(desk());
        board.cover(layer());
        return whole;
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(new Leaf(DESK, "By typing", view()));
    }

    @Override
    public boolean cardFirst() {
        return true;
    }

    @Override
    public DoorRoom door() {
        return DoorRoom.SMALL;
    }

    @Override
    public void takeKeyboard() {
        if (!layer().takeKeyboard()) {
            board.sheet().takeKeyboard();
        }
    }

    @Override
    public boolean edited() {
        if (!view().isTyping() && !layer().isOpen()) {
            takeKeyboard();
        }
        return false;
    }

    @Override
    public boolean key(KeyEvent event, boolean inText) {
        if (event.getCode() == KeyCode.ESCAPE) {
            board.leaveText();
            return true;
        }
        if (event.getCode() == KeyCode.SPACE && !inText) {
            layer().begin(desk().selection().spot());
            return true;
        }
        boolean moves = event.getCode().isArrowKey() || event.getCode() == KeyCode.DELETE;
        if (inText && (moves || event.getCode() == KeyCode.ENTER)) {
            return false;
        }
        if (StrokeKey.begins(event)) {
            openDesk.run();
        }
        return view().key(event);
    }
}
