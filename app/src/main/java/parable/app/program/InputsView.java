package parable.app.program;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.look.DirectScroll;
import parable.app.run.RunModel;
import parable.parts.Assembly;
import parable.plc.IoList;
import parable.plc.IoPoint;

/**
 * For each input the contact, what the terminal reads at rest, actuated and with its wire broken. Whoever wants to learn chooses the instruction
 * first and sees what comes of it.
 */
final class InputsView extends VBox {

    private final VBox rows = new VBox(6);
    private final Map<String, Boolean> chosen = new HashMap<>();
    private List<IoPoint> inputs = List.of();

    InputsView(RunModel run) {
        super(6);
        setId("inputs");
        getStyleClass().add("findings");
        Label heading = new Label("Inputs: what does the terminal read, and therefore which instruction?");
        heading.getStyleClass().add("plate-name");
        heading.setWrapText(true);
        heading.setMinHeight(USE_PREF_SIZE);
        DirectScroll scrolled = new DirectScroll(rows);
        scrolled.setFitToWidth(true);
        VBox.setVgrow(scrolled, Priority.ALWAYS);
        getChildren().addAll(heading, scrolled);
        run.assemblyProperty().addListener((any, before, now) -> find(now));
        find(run.assembly());
    }

    private void find(Assembly assembly) {
        inputs = IoList.of(assembly).stream().filter(IoPoint::isInput).toList();
        show();
    }

    private void show() {
        rows.getChildren().setAll(inputs.stream().map(this::row).toList());
    }

    private VBox row(IoPoint input) {
        String name = input.variable().orElse("not in the program");
        Label title = new Label(input.terminal() + "  " + name
                + (input.device().isEmpty() ? "" : "   " + input.device() + " " + input.contact())
                + (input.description().isEmpty() ? "" : ", " + input.description()));
        title.getStyleClass().add("finding-text");
        title.setWrapText(true);
        GridPane table = new GridPane();
        table.setHgap(14);
        table.add(new Label("at rest " + bit(input.atRest())), 0, 0);
        table.add(new Label("actuated " + bit(input.acted())), 1, 0);
        table.add(new Label("wire broken 0"), 2, 0);
        table.getStyleClass().add("finding-reason");
        HBox choose = new HBox(6, choice(input, false), choice(input, true));
        VBox row = new VBox(3, title, table, choose);
        if (chosen.containsKey(name)) {
            boolean closed = chosen.get(name);
            Label effect = new Label(input.effect(closed));
            effect.setWrapText(true);
            effect.getStyleClass().add("finding-reason");
            Label why = new Label(input.why());
            why.setWrapText(true);
            why.getStyleClass().add("finding-reason");
            row.getChildren().addAll(effect, why);
        }
        row.getStyleClass().add("finding");
        row.setAccessibleText(
                title.getText() + ", at rest " + bit(input.atRest()) + ", actuated " + bit(input.acted()));
        return row;
    }

    private static String bit(boolean one) {
        return one ? "1" : "0";
    }

    private ToggleButton choice(IoPoint input, boolean closed) {
        String name = input.variable().orElse("not in the program");
        ToggleButton button =
                new ToggleButton(closed ? "normally closed \u2013|/|\u2013" : "normally open \u2013| |\u2013");
        button.setId("instruction-" + input.terminal() + (closed ? "-closed" : "-open"));
        button.getStyleClass().add("latch");
        button.setSelected(chosen.containsKey(name) && chosen.get(name) == closed);
        button.setOnAction(event -> {
            chosen.put(name, closed);
            show();
        });
        return button;
    }
}
