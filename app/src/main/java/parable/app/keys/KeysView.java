package parable.app.keys;

import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.desk.StrokeKey;
import parable.app.look.DirectScroll;
import parable.app.look.PageHead;
import parable.desk.DeskStroke;

/** All keys on one page. */
public final class KeysView extends BorderPane {

    private static final double WORDS = 225;

    private record Key(String key, String words) {}

    private static final List<Key> ANYWHERE = List.of(
            new Key("Ctrl+D  Ctrl+U", "Draw, and back to trying; try"),
            new Key("Menu key, right button", "What can be done with the thing there"),
            new Key("Ctrl+K  E  R", "What the rules find; explore; replay a failure"),
            new Key("Ctrl+H", "Size: from the nameplate to every rating"),
            new Key("Ctrl+G", "The program, or the translation into one"),
            new Key("Ctrl+Z  Ctrl+Y", "Undo, redo"),
            new Key("Ctrl+S  Ctrl+Shift+S", "Save, save as"),
            new Key("Ctrl+O", "Open a job"),
            new Key("Ctrl+Enter  F2", "The menu of what is selected, its card"),
            new Key("Ctrl+I", "Why the selected device is on or off"),
            new Key("Ctrl+F", "Find a device, wire or rung of this sheet"),
            new Key("Ctrl+Home", "All sheets, and the library, as pictures"),
            new Key("Ctrl+N", "New sheet, and all else with sheets"),
            new Key("Ctrl+PageUp  Ctrl+PageDown", "The sheet before, the next"),
            new Key("Ctrl+E  Ctrl+P", "All drawings as PDF, print this one"),
            new Key("Ctrl+Plus  Ctrl+Minus", "Larger, smaller; the wheel too; Shift and the wheel move"),
            new Key("Ctrl+0", "All of it in the window, or as large as can be read"),
            new Key("Ctrl+T", "Dark or light colours"),
            new Key("Tab  Shift+Tab", "To the next thing, to the one before"),
            new Key("F1", "This page"));
    private static final List<Key> TRYING = List.of(
            new Key("1 \u2026 9, 0", "Press and hold the operator with that key"),
            new Key("Shift+1 \u2026", "Hold it down and let go by the same key"),
            new Key("Space or Enter", "Operate the framed device that has the focus"),
            new Key("S", "The stop button of an overload relay that has the focus"),
            new Key("Ctrl+M", "The meter; Up and Down walk a probe along its rung"),
            new Key("P", "Let time run, or stand still"),
            new Key("B  N", "Back to the change before, on to the next"));
    private static final List<Key> TYPING = List.of(
            new Key("S1  /S1  (K1)", "Open contact, contact closed at rest, coil or lamp"),
            new Key("@5  @", "Wire 5, a new wire"),
            new Key("K3:timer", "A device of a kind that its tag does not tell"),
            new Key("K1[13-14]", "That contact and no other"),
            new Key("L \u2026 N ; words", "A rung from rail to rail, with a remark"),
            new Key("power reversing", "Also direct, star-delta, brake: a power circuit"),
            new Key("find K1", "The next place of a tag, a wire or a word"),
            new Key("rename K1 K5", "Another tag, wherever it stands"),
            new Key("wire 6 12", "Another number for a wire"),
            new Key("renumber", "Wires in order; renumber by rung: 302 is on rung 3"));

    private static final List<Key> PROGRAM = List.of(
            new Key("Arrows", "The network above or below, the contact beside"),
            new Key("Ctrl+1", "Change the network as a statement"),
            new Key("Ctrl+2", "A new network; S5 AT %IX0.7 : BOOL declares a bit"),
            new Key("Ctrl+3  Ctrl+4  Ctrl+5", "Before, after, around the contact"),
            new Key("Ctrl+6  Delete", "The other instruction; take away"),
            new Key("Ctrl+Up  Ctrl+Down", "Move the network"));

    private static final List<Key> AT_THE_PANEL = List.of(
            new Key("Ctrl+L  Ctrl+B  Ctrl+W  Ctrl+R", "The wires, the test sheet, finding a fault, the record"),
            new Key("Space  D  T  C", "Done and next; done, tugged, checked"),
            new Key("L", "Land an end of the wire elsewhere"),
            new Key("Ctrl+Arrows", "Move the device clicked on the panel"),
            new Key("Enter", "Write down; nothing typed: as expected"));

    /**
     * The page.
     *
     * @param done called when it has been read
     */
    public KeysView(Runnable done) {
        setId("keys");
        getStyleClass().add("keys");
        PageHead head = new PageHead("All keys", "keys-done", done).byKeys();
        sceneProperty().addListener((any, before, scene) -> Platform.runLater(head::focus));
        setTop(head);
        HBox groups = new HBox(
                30,
                new VBox(18, group("Anywhere", ANYWHERE), group("Trying", TRYING)),
                new VBox(18, group("Drawing", drawing()), group("Wiring and testing", AT_THE_PANEL)),
                new VBox(18, group("In the line of the desk", TYPING), group("On the program", PROGRAM)));
        groups.setPadding(new Insets(6, 0, 0, 0));
        DirectScroll scrolled = new DirectScroll(groups);
        scrolled.setFitToWidth(true);
        setCenter(scrolled);
    }

    private static List<Key> drawing() {
        List<Key> keys = new ArrayList<>();
        keys.add(new Key("Arrows", "Select the device beside, the rung above or below"));
        keys.add(new Key("Space", "What can go beside the selected device"));
        keys.add(new Key("Shift+Left  Shift+Right", "Select a stretch of the rung"));
        for (DeskStroke stroke : DeskStroke.values()) {
            keys.add(new Key(StrokeKey.of(stroke), stroke.words()));
        }
        keys.add(new Key("Ctrl+6", "Exchange an open contact for a closed one, and back"));
        keys.add(new Key("Ctrl+7", "A new rung like the selected one, to be changed"));
        keys.add(new Key("Ctrl+Up  Ctrl+Down", "Move the rung"));
        keys.add(new Key("Ctrl+Left  Ctrl+Right", "Move the device along its rung"));
        keys.add(new Key("Delete", "Take what is selected away"));
        keys.add(new Key("Ctrl+J", "To the coil or the next contact of the device"));
        keys.add(new Key("Enter, in the line", "Do what the line says"));
        keys.add(new Key("Tab, in the line", "Take the first of the words offered"));
        keys.add(new Key("Esc", "Leave the line"));
        return keys;
    }

    private static VBox group(String title, List<Key> keys) {
        Label heading = new Label(title);
        heading.getStyleClass().add("plate-name");
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(4);
        for (Key key : keys) {
            Label cap = new Label(key.key());
            cap.getStyleClass().add("key");
            Label words = new Label(key.words());
            words.setWrapText(true);
            words.setPrefWidth(WORDS);
            cap.setMinWidth(Region.USE_PREF_SIZE);
            grid.addRow(grid.getRowCount(), cap, words);
        }
        return new VBox(6, heading, grid);
    }
}
