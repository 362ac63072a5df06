package parable.app.step;

import java.util.List;
import javafx.scene.Node;
import parable.app.sizing.SizingPage;

/** Sizing: from the nameplate to every rating, and into the drawing. */
public record SizingStep(SizingPage page) implements StepPage {

    @Override
    public Node centre() {
        return page.centre();
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(
                new Leaf("sizing-drawing", "Drawing", page.differences()),
                new Leaf("sizing-curves", "Curves", page.curves()));
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
