package parable.app;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import parable.card.SheetProgress;
import parable.circuit.Job;
import parable.circuit.Sheet;

/** The sheets of the job side by side; where they find no room they are moved along. */
final class SheetTabs extends HBox {

    private final Consumer<String> choose;
    private final HBox tabs = new HBox();
    private final ScrollPane strip = new ScrollPane(tabs);
    private List<String> shown = List.of();
    private List<String> names = List.of();
    private String chosen = "";

    /**
     * No tabs yet.
     *
     * @param choose goes to a sheet
     */
    SheetTabs(Consumer<String> choose) {
        this.choose = choose;
        getStyleClass().add("sheet-tabs");
        setAlignment(Pos.CENTER_LEFT);
        tabs.getStyleClass().add("sheets");
        strip.getStyleClass().add("sheet-strip");
        strip.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        strip.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        strip.setFitToHeight(true);
        strip.setMinWidth(0);
        strip.setFocusTraversable(false);
        strip.viewportBoundsProperty().addListener((any, before, bounds) -> seeChosen());
        tabs.layoutBoundsProperty().addListener((any, before, bounds) -> seeChosen());
        HBox.setHgrow(strip, Priority.SOMETIMES);
        getChildren().add(strip);
    }

    /** Shows the sheets of a job. */
    void show(Job job) {
        List<String> now = job.sheets().stream()
                .map(sheet -> sheet.name() + " " + SheetProgress.of(sheet).word())
                .toList();
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        names = job.sheets().stream().map(Sheet::name).toList();
        List<ToggleButton> made = new ArrayList<>();
        for (Sheet sheet : job.sheets()) {
            String name = sheet.name();
            String progress = SheetProgress.of(sheet).word();
            ToggleButton tab = new ToggleButton(name);
            if (!progress.isEmpty()) {
                Label state = new Label(progress);
                state.getStyleClass().add("tab-state");
                tab.setGraphic(state);
                tab.setContentDisplay(ContentDisplay.RIGHT);
                tab.setAccessibleText(name + ", " + progress);
            }
            tab.setId("sheet-tab-" + name);
            tab.setMinWidth(USE_PREF_SIZE);
            tab.setOnAction(event -> choose.accept(name));
            made.add(tab);
        }
        tabs.getChildren().setAll(made);
        select(chosen);
    }

    /** Marks the sheet that is shown, and brings its tab into view. */
    void select(String name) {
        chosen = name;
        tabs.getChildren().forEach(tab -> ((ToggleButton) tab)
                .setSelected(((ToggleButton) tab).getText().equals(name)));
        seeChosen();
    }

    /** The sheet so many places further on; the first or the last if there are not so many. */
    String from(String name, int on) {
        int there = Math.max(0, Math.min(names.size() - 1, names.indexOf(name) + on));
        return names.get(there);
    }

    private void seeChosen() {
        Platform.runLater(() -> {
            double hidden = tabs.getWidth() - strip.getViewportBounds().getWidth();
            tabs.getChildren().stream()
                    .filter(tab -> ((ToggleButton) tab).isSelected())
                    .findFirst()
                    .filter(tab -> hidden > 0)
                    .ifPresent(tab -> strip.setHvalue(moved(tab.getBoundsInParent(), hidden) / hidden));
        });
    }

    /** How far the tabs are moved so that one of them is seen, in pixels. */
    private double moved(Bounds tab, double hidden) {
        double now = strip.getHvalue() * hidden;
        double seen = strip.getViewportBounds().getWidth();
        return Math.max(0, Math.min(hidden, Math.max(tab.getMaxX() - seen, Math.min(now, tab.getMinX()))));
    }
}
