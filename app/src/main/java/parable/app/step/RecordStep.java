package parable.app.step;

import java.util.List;
import javafx.scene.Node;
import parable.app.log.LogPage;

/** The record: what was found, done and signed. */
public record RecordStep(LogPage page) implements StepPage {

    @Override
    public Node centre() {
        return page.centre();
    }

    @Override
    public List<Node> beside() {
        return List.of(page.beside());
    }

    @Override
    public void takeKeyboard() {
        page.takeKeyboard();
    }
}
