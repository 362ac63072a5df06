package parable.app.step;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.VBox;
import parable.app.sheet.Marked;
import parable.app.testing.TestingModel;
import parable.app.testing.TestingPage;
import parable.app.wiring.PanelView;
import parable.app.wiring.WiringModel;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/** Testing: the test sheet step by step, with the probes on the drawing and on the panel. */
public final class TestingStep implements StepPage {

    private static final double PROBES = 230;

    private final Board board;
    private final TestingModel testing;
    private final TestingPage page;
    private final WiringModel wiring;
    private final PanelView probes;
    private final Supplier<Assembly> assembly;
    private final VBox tested = new VBox();

    /**
     * The step of a sheet.
     *
     * @param probes shows where on the panel the probes go
     * @param assembly gives the sheet as it is
     */
    public TestingStep(
            Board board,
            TestingModel testing,
            TestingPage page,
            WiringModel wiring,
            PanelView probes,
            Supplier<Assembly> assembly) {
        this.board = board;
        this.testing = testing;
        this.page = page;
        this.wiring = wiring;
        this.probes = probes;
        this.assembly = assembly;
        probes.setPrefHeight(PROBES);
        probes.setMinHeight(PROBES);
        testing.selectedProperty().addListener((any, before, now) -> pointProbes());
        testing.stepsProperty().addListener((any, before, now) -> pointProbes());
        testing.momentProperty().addListener((any, before, now) -> pointProbes());
    }

    @Override
    public Node centre() {
        board.clear();
        board.lend(() -> tested.getChildren().clear());
        wiring.look();
        tested.getChildren().setAll(board.drawing(), probes);
        board.hint("As it must be while this step is read; rings: the probes.");
        board.sheet().operate();
        pointProbes();
        return tested;
    }

    /** Marks where the probes of the step in hand go, as long as it is what is shown. */
    private void pointProbes() {
        if (board.drawing().getParent() == tested) {
            Marked probed = testing.step()
                    .map(step -> ProbeMarks.of(step.observation()))
                    .orElse(Marked.NOTHING);
            board.sheet().point(probed);
            List<Terminal> ends = ProbeMarks.terminals(assembly.get(), probed);
            probes.setVisible(!ends.isEmpty());
            probes.setManaged(!ends.isEmpty());
            probes.point(ends);
            board.sheet().showInstead(testing.momentProperty().get());
        }
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(new Leaf("testing", "Test sheet", page.beside()));
    }

    @Override
    public void takeKeyboard() {
        page.takeKeyboard();
    }

    @Override
    public boolean edited() {
        testing.look();
        return false;
    }
}
