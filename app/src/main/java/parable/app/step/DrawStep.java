package parable.app.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;

/** Drawing: the sheet is changed, rung by rung. */
public final class DrawStep implements StepPage {

    private final Board board;
    private final Supplier<DeskModel> makeDesk;
    private final Supplier<DeskView> makeView;
    private Optional<DeskModel> desk = Optional.empty();
    private Optional<DeskView> view = Optional.empty();

    /**
     * The step.
     *
     * @param desk makes the desk, once it is needed
     * @param view makes its view, from the desk of {@link #desk()}
     */
    public DrawStep(Board board, Supplier<DeskModel> desk, Supplier<DeskView> view) {
        this.board = board;
        makeDesk = desk;
        makeView = view;
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

    @Override
    public Node centre() {
        Node whole = board.whole("Click a symbol to select it; Ctrl+I: why it is on or off.");
        board.sheet().selectFor(desk());
        return whole;
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(new Leaf("desk", "Draw", view()));
    }

    @Override
    public DoorRoom door() {
        return DoorRoom.SMALL;
    }

    @Override
    public void takeKeyboard() {
        board.sheet().takeKeyboard();
    }

    @Override
    public boolean edited() {
        if (!view().isTyping()) {
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
        boolean moves = event.getCode().isArrowKey() || event.getCode() == KeyCode.DELETE;
        return !(inText && (moves || event.getCode() == KeyCode.ENTER)) && view().key(event);
    }
}
