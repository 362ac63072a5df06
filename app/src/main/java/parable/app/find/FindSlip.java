package parable.app.find;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import parable.app.look.ActionButton;
import parable.card.Lookup;
import parable.card.Pick;
import parable.circuit.Sheet;

/** A field over the corner of the drawing that finds as one types; it moves nothing. */
public final class FindSlip extends HBox {

    private final Supplier<Sheet> sheet;
    private final Consumer<Pick> show;
    private final Runnable closed;
    private final TextField field = new TextField();
    private final Label told = new Label();
    private List<Pick> found = List.of();
    private int at;

    /**
     * A closed slip.
     *
     * @param sheet gives the sheet that is shown
     * @param show shows what was found
     * @param closed called when it is closed
     */
    public FindSlip(Supplier<Sheet> sheet, Consumer<Pick> show, Runnable closed) {
        super(8);
        this.sheet = sheet;
        this.show = show;
        this.closed = closed;
        setId("find");
        getStyleClass().add("find-slip");
        setAlignment(Pos.CENTER_LEFT);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setVisible(false);
        field.setId("find-field");
        field.setPromptText("tag, name, wire or remark");
        field.setAccessibleText("Find a device, wire or rung of this sheet");
        field.setPrefColumnCount(16);
        field.textProperty().addListener((any, before, now) -> look());
        field.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER && !event.isShortcutDown()) {
                go(event.isShiftDown() ? -1 : 1);
                event.consume();
            } else if (event.getCode() == KeyCode.ESCAPE) {
                close();
                event.consume();
            }
        });
        told.setId("find-told");
        told.setMinWidth(70);
        getChildren()
                .addAll(
                        field,
                        told,
                        new ActionButton("find-next", "Next", "Enter; with Shift the one before", () -> go(1)),
                        new ActionButton("find-close", "Close", "Esc", this::close));
    }

    /** Opens it, or takes the keyboard back to it. */
    public void open() {
        setVisible(true);
        field.requestFocus();
        field.selectAll();
    }

    private void close() {
        setVisible(false);
        closed.run();
    }

    private void look() {
        found = Lookup.of(sheet.get(), field.getText());
        at = 0;
        tell();
    }

    private void go(int sense) {
        found = Lookup.of(sheet.get(), field.getText());
        at = found.isEmpty() ? 0 : Math.floorMod(at + sense, found.size());
        tell();
    }

    private void tell() {
        told.setText(field.getText().isBlank() ? "" : found.isEmpty() ? "none" : (at + 1) + " of " + found.size());
        if (!found.isEmpty()) {
            show.accept(found.get(Math.min(at, found.size() - 1)));
        }
    }
}
