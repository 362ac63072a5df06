package parable.app.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import parable.app.findings.FindingsView;

/** Checking: what the rules find and what is proved. */
public final class CheckStep implements StepPage {

    private final Board board;
    private final Supplier<FindingsView> findings;
    private Optional<FindingsView> shown = Optional.empty();

    /**
     * The step.
     *
     * @param findings gives the view of the findings
     */
    public CheckStep(Board board, Supplier<FindingsView> findings) {
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
        shown = Optional.of(findings.get());
        return List.of(new Leaf("findings", "Findings", shown.get()));
    }

    @Override
    public boolean key(KeyEvent event, boolean inText) {
        return !inText && shown.filter(view -> view.key(event)).isPresent();
    }

    @Override
    public void takeKeyboard() {
        board.sheet().takeKeyboard();
    }
}
