package parable.app.step;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.look.UprightScroll;

/** Leaves under one line of buttons, one of them open; the others are not in the window. */
public final class Leaves extends VBox {

    /** Whatever is open they take the same height, and more only if there is room: what is over them stays where it is. */
    private static final double HEIGHT = 330;

    private static final double LEAST = 150;

    private final List<Leaf> leaves;
    private final ToggleGroup group = new ToggleGroup();
    private final HBox buttons = new HBox();
    private final ScrollPane open = new UprightScroll();
    private final Consumer<String> opened;

    /**
     * Leaves, the first of them open.
     *
     * @param opened takes the id of a leaf that is opened
     */
    public Leaves(List<Leaf> leaves, Consumer<String> opened) {
        this.leaves = List.copyOf(leaves);
        this.opened = opened;
        getStyleClass().add("leaves");
        buttons.getStyleClass().add("leaf-line");
        for (Leaf leaf : leaves) {
            ToggleButton button = new ToggleButton(leaf.words());
            button.setId("leaf-" + leaf.id());
            button.setToggleGroup(group);
            button.setUserData(leaf);
            button.setMinWidth(USE_PREF_SIZE);
            button.setOnAction(event -> open(leaf.id()));
            button.selectedProperty().addListener((any, was, is) -> {
                if (is) {
                    show(leaf);
                }
            });
            buttons.getChildren().add(button);
        }
        // As high as there is room; what needs more, as in a magnified window, is a bar away.
        open.setFitToHeight(true);
        open.setMinHeight(0);
        VBox.setVgrow(open, Priority.ALWAYS);
        getChildren().addAll(buttons, open);
        buttons.setVisible(leaves.size() > 1);
        buttons.setManaged(leaves.size() > 1);
        setMinHeight(LEAST);
        setPrefHeight(HEIGHT);
    }

    /** Whether there is a leaf of this id. */
    public boolean has(String id) {
        return leaves.stream().anyMatch(leaf -> leaf.id().equals(id));
    }

    /** Opens a leaf; the first if there is none of this id. */
    public void open(String id) {
        Leaf wanted =
                leaves.stream().filter(leaf -> leaf.id().equals(id)).findFirst().orElse(leaves.get(0));
        group.getToggles().forEach(button -> button.setSelected(button.getUserData() == wanted));
    }

    /** The arrow keys select a button without pressing it. */
    private void show(Leaf leaf) {
        if (open.getContent() != leaf.content()) {
            open.setContent(leaf.content());
            open.setVvalue(0);
            opened.accept(leaf.id());
        }
    }
}
