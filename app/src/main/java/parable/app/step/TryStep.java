package parable.app.step;

import java.util.List;
import javafx.scene.Node;

/** Trying: the sheet is operated, measured and asked. */
public final class TryStep implements StepPage {

    static final String HINT = "Dotted frame: click or Space. Others: click, read why.";

    private final Board board;
    private final List<Node> beside;

    /**
     * The step.
     *
     * @param beside the machine, the meter and the story
     */
    public TryStep(Board board, List<Node> beside) {
        this.board = board;
        this.beside = List.copyOf(beside);
    }

    @Override
    public Node centre() {
        Node whole = board.whole(HINT);
        board.sheet().operate();
        return whole;
    }

    @Override
    public List<Node> beside() {
        return beside;
    }

    @Override
    public DoorRoom door() {
        return DoorRoom.LARGE;
    }

    @Override
    public boolean showsFindings() {
        return false;
    }

    @Override
    public void takeKeyboard() {
        board.sheet().takeKeyboard();
    }
}
