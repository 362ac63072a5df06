package parable.app.step;

import java.util.List;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.SplitPane;
import parable.app.sheet.Marked;
import parable.app.wiring.WiringModel;
import parable.app.wiring.WiringPage;

/** Wiring: wire by wire, the drawing over the places where its ends are. */
public final class WireStep implements StepPage {

    private static final double SHARE_OF_DRAWING = 0.45;

    private final Board board;
    private final WiringModel wiring;
    private final WiringPage page;
    private final SplitPane split = new SplitPane();

    /** The step of a sheet. */
    public WireStep(Board board, WiringModel wiring, WiringPage page) {
        this.board = board;
        this.wiring = wiring;
        this.page = page;
        split.setOrientation(Orientation.VERTICAL);
        wiring.selectedProperty().addListener((any, before, now) -> markWire());
        wiring.listsProperty().addListener((any, before, now) -> markWire());
    }

    @Override
    public Node centre() {
        board.clear();
        board.lend(() -> split.getItems().clear());
        split.getItems().setAll(board.drawing(), page.below());
        split.setDividerPositions(SHARE_OF_DRAWING);
        board.sheet().operate();
        markWire();
        return split;
    }

    /** Marks the wire in hand on the drawing. */
    private void markWire() {
        if (!split.getItems().isEmpty()) {
            board.sheet()
                    .point(wiring.wire()
                            .map(wire -> new Marked(List.of(wire.number()), List.of(wire.from(), wire.to())))
                            .orElse(Marked.NOTHING));
        }
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(new Leaf("wiring", "Wires", page.beside()));
    }

    @Override
    public void takeKeyboard() {
        page.takeKeyboard();
    }

    @Override
    public boolean edited() {
        wiring.look();
        return false;
    }
}
