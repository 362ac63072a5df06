package parable.app.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import parable.app.finding.FindModel;
import parable.app.finding.FindPage;
import parable.app.sheet.Marked;
import parable.app.wiring.PanelView;
import parable.app.wiring.WiringModel;
import parable.circuit.Terminal;
import parable.finding.PanelLook;
import parable.parts.Assembly;

/** Finding faults at a real panel: the drawing in the condition that is looked at, with the probes on it and on the panel. */
public final class FindStep implements StepPage {

    private static final double PROBES = 230;

    private final Board board;
    private final FindModel model;
    private final FindPage page;
    private final WiringModel wiring;
    private final PanelView probes;
    private final Supplier<Assembly> assembly;
    private final VBox found = new VBox();
    private final Label sound = new Label("Drawn: a sound machine after this was done");

    /**
     * The step of a sheet.
     *
     * @param probes shows where on the panel the probes go
     * @param assembly gives the sheet as it is
     */
    public FindStep(
            Board board,
            FindModel model,
            FindPage page,
            WiringModel wiring,
            PanelView probes,
            Supplier<Assembly> assembly) {
        this.board = board;
        this.model = model;
        this.page = page;
        this.wiring = wiring;
        this.probes = probes;
        this.assembly = assembly;
        sound.getStyleClass().add("tense");
        sound.setMouseTransparent(true);
        StackPane.setAlignment(sound, Pos.TOP_CENTER);
        probes.onPointedAt(page::pointedAt);
        probes.setPrefHeight(PROBES);
        probes.setMinHeight(PROBES);
        model.placeProperty().addListener((any, before, now) -> pointProbes());
    }

    @Override
    public Node centre() {
        board.clear();
        board.lend(this::leave);
        wiring.look();
        model.look();
        found.getChildren().setAll(board.drawing(), probes);
        board.hint("Rings: the probes.");
        board.sheet().operate();
        board.cover(sound);
        pointProbes();
        return found;
    }

    private void leave() {
        found.getChildren().clear();
        model.rest();
    }

    private void pointProbes() {
        if (board.drawing().getParent() == found) {
            Optional<PanelLook> look = model.placeProperty().get().flatMap(place -> place.look());
            Marked probed = look.map(one -> ProbeMarks.of(one.observation())).orElse(Marked.NOTHING);
            board.sheet().point(probed);
            List<Terminal> ends = ProbeMarks.terminals(assembly.get(), probed);
            probes.setVisible(!ends.isEmpty());
            probes.setManaged(!ends.isEmpty());
            probes.point(ends);
            board.sheet().showInstead(model.placeProperty().get().map(place -> place.moment()));
        }
    }

    /** Somebody pointed at a wire of the drawing while this step is shown. */
    public void pointedAt(String wire) {
        if (board.drawing().getParent() == found) {
            page.pointedAt(wire);
        }
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(
                new Leaf("finding", "Find", page.finding()),
                new Leaf("suspects", "Suspects", page.suspects()),
                new Leaf("own-reading", "Own reading", page.ownReading()));
    }

    @Override
    public void takeKeyboard() {
        page.takeKeyboard();
    }

    @Override
    public boolean edited() {
        model.look();
        return false;
    }
}
