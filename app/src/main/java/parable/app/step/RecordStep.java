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
    public List<Leaf> leaves() {
        return List.of(new Leaf("entry", "New entry", page.beside()));
    }

    @Override
    public boolean hasCard() {
        return false;
    }

    @Override
    public void takeKeyboard() {
        page.takeKeyboard();
    }
}
