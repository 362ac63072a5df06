package parable.app.step;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;

/** Checking: what the rules find and what is proved. */
public final class CheckStep implements StepPage {

    private final Board board;
    private final Supplier<Node> findings;

    /**
     * The step.
     *
     * @param findings gives the view of the findings
     */
    public CheckStep(Board board, Supplier<Node> findings) {
        this.board = board;
        this.findings = findings;
    }

    @Override
    public Node centre() {
        Node whole = board.whole(TryStep.HINT);
        board.sheet().operate();
        return whole;
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(new Leaf("findings", "Findings", findings.get()));
    }

    @Override
    public void takeKeyboard() {
        board.sheet().takeKeyboard();
    }
}
