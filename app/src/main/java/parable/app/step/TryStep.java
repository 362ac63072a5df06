package parable.app.step;

import java.util.List;
import javafx.scene.Node;

/** Trying: the sheet is operated, measured and asked. */
public final class TryStep implements StepPage {

    static final String HINT = "Dotted frame: click or Space. Others: click, read why.";

    private final Board board;
    private final Node machine;
    private final List<Leaf> leaves;

    /**
     * The step.
     *
     * @param machine the loads, which are always beside the drawing
     * @param leaves the story and the meter
     */
    public TryStep(Board board, Node machine, List<Leaf> leaves) {
        this.board = board;
        this.machine = machine;
        this.leaves = List.copyOf(leaves);
    }

    @Override
    public Node centre() {
        Node whole = board.whole(HINT);
        board.sheet().operate();
        return whole;
    }

    @Override
    public List<Leaf> leaves() {
        return leaves;
    }

    @Override
    public List<Node> always() {
        return List.of(machine);
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
