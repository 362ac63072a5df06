package parable.app.step;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.program.ProgramPage;

/** The controller: its program in the place of the drawing, or the translation into one beside it. */
public final class PlcStep implements StepPage {

    private final Board board;
    private final ProgramPage program;
    private final VBox programmed = new VBox();

    /** The step of a sheet. */
    public PlcStep(Board board, ProgramPage program) {
        this.board = board;
        this.program = program;
        VBox.setVgrow(program.centre(), Priority.ALWAYS);
    }

    @Override
    public Node centre() {
        if (program.hasProgram()) {
            board.clear();
            programmed.getChildren().setAll(program.centre(), board.bar());
            return programmed;
        }
        Node whole = board.whole(TryStep.HINT);
        board.sheet().operate();
        return whole;
    }

    @Override
    public List<Leaf> leaves() {
        return List.of(
                program.hasProgram()
                        ? new Leaf("program", "Program", program.besideProgram())
                        : new Leaf("translation", "Translation", program.besideDrawing()));
    }

    @Override
    public boolean hasCard() {
        return !program.hasProgram();
    }

    @Override
    public DoorRoom door() {
        return program.hasProgram() ? DoorRoom.INSTEAD_OF_DRAWING : DoorRoom.SMALL;
    }

    @Override
    public void takeKeyboard() {
        if (program.hasProgram()) {
            program.takeKeyboard();
        } else {
            board.sheet().takeKeyboard();
        }
    }

    /** A program comes and goes by an edit. */
    @Override
    public boolean edited() {
        return true;
    }

    @Override
    public boolean key(KeyEvent event, boolean inText) {
        return event.isShortcutDown() && program.hasProgram() && program.key(event);
    }
}
