package parable.app.program;

import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tab;
import javafx.scene.control.TabPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.Look;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.bench.Moment;
import parable.circuit.Sheet;
import parable.desk.ProgramStroke;
import parable.parts.ControllerField;
import parable.parts.Part;
import parable.parts.Verb;
import parable.timing.Refutation;

/** What is in the window in the step of the program: on a sheet with a controller its program, on one of relays its translation. */
public final class ProgramPage {

    private final JobModel jobs;
    private final RunModel run;
    private final ProgramModel model;
    private final ProgramView view;
    private final ProgramDesk desk;
    private final Label state = new Label();
    private final Button toggle = new Button("Set to stop");
    private final VBox centre;
    private final TabPane beside = new TabPane();
    private final TranslateView translate;

    /**
     * The page of one sheet.
     *
     * @param name the sheet
     * @param replay plays on the bench of a sheet, by its name
     * @param added takes a sheet that has been translated
     */
    public ProgramPage(
            JobModel jobs,
            String name,
            RunModel run,
            Look look,
            BiConsumer<String, Refutation> replay,
            Consumer<Sheet> added) {
        this.jobs = jobs;
        this.run = run;
        model = new ProgramModel(jobs, name);
        view = new ProgramView(run, look, model);
        desk = new ProgramDesk(jobs, model);
        state.setId("program-state");
        state.setMaxWidth(Double.MAX_VALUE);
        VBox.setVgrow(view, Priority.ALWAYS);
        toggle.setId("program-toggle");
        toggle.getStyleClass().add("latch");
        toggle.setOnAction(event -> toggle());
        HBox head = new HBox(10, state, toggle);
        HBox.setHgrow(state, Priority.ALWAYS);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("program-state");
        centre = new VBox(head, view, desk);
        translate =
                new TranslateView(run::assembly, () -> jobs.jobProperty().get().practice(), added);
        beside.getTabs()
                .addAll(
                        tab("Inputs", new InputsView(run)),
                        tab("Same machine?", new CompareView(jobs, run::assembly, replay)));
        VBox.setVgrow(beside, Priority.ALWAYS);
        run.shownProperty().addListener((any, before, now) -> tell());
        tell();
        model.choose(ProgramStroke.CHANGE);
    }

    private static Tab tab(String words, Node content) {
        Tab tab = new Tab(words, content);
        tab.setClosable(false);
        return tab;
    }

    /** Whether the sheet has a program to show. */
    public boolean hasProgram() {
        return model.program().isPresent();
    }

    /** The program in the place of the drawing. */
    public Node centre() {
        return centre;
    }

    /** What stands beside the program: its inputs and the comparison. */
    public Node besideProgram() {
        return beside;
    }

    /** What stands beside the drawing of a relay sheet: its translation. */
    public Node besideDrawing() {
        translate.show();
        return translate;
    }

    /** Puts the keyboard on the program. */
    public void takeKeyboard() {
        if (!desk.isTyping()) {
            view.requestFocus();
        }
    }

    /** A key with Ctrl; returns whether it meant anything. */
    public boolean key(KeyEvent event) {
        switch (event.getCode()) {
            case DIGIT1 -> desk.choose(ProgramStroke.CHANGE);
            case DIGIT2 -> desk.choose(ProgramStroke.NEW);
            case DIGIT3 -> desk.choose(ProgramStroke.BEFORE);
            case DIGIT4 -> desk.choose(ProgramStroke.AFTER);
            case DIGIT5 -> desk.choose(ProgramStroke.AROUND);
            case DIGIT6 -> model.invert();
            case UP -> model.move(-1);
            case DOWN -> model.move(1);
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Sets the controller's switch to stop, or back to run. */
    private void toggle() {
        ControllerField.of(run.assembly())
                .map(field -> field.controller().tag())
                .ifPresent(tag -> {
                    boolean runs = run.shownProperty().get().actuated(tag);
                    run.act(new Action(runs ? Verb.HALT : Verb.RUN, tag));
                });
    }

    private void tell() {
        Optional<Part> controller = ControllerField.of(run.assembly()).map(ControllerField::controller);
        Moment moment = run.shownProperty().get();
        controller.ifPresent(part -> toggle.setText(moment.actuated(part.tag()) ? "Set to stop" : "Set to run"));
        if (controller.isEmpty()) {
            state.setText(jobs.jobProperty().get().name());
        } else if (moment.program().isPresent()) {
            state.setText(controller.get().tag()
                    + " runs: reads its inputs, goes through the networks, tells its outputs, every "
                    + controller.get().device().setting("scan").orElse("10 ms") + ".");
        } else {
            state.setText(controller.get().tag()
                    + (moment.actuated(controller.get().tag())
                            ? " has no supply: close the breaker. Nothing is scanned, all outputs are off."
                            : " is set to stop: nothing is scanned, all outputs are off."));
        }
    }
}
