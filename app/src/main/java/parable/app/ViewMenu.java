package parable.app;

import java.util.List;
import java.util.Locale;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import parable.app.job.JobModel;
import parable.app.look.Look;
import parable.app.look.Theme;
import parable.circuit.Practice;
import parable.drafting.Dress;

/** How one looks at the job: size, theme, the dress of its symbols and tags, and what colours tell in it. */
final class ViewMenu extends MenuButton {

    private static final List<Integer> SIZES = List.of(100, 125, 150, 175, 200);

    private final JobModel jobs;
    private final Look look;
    private final CheckMenuItem night = new CheckMenuItem("Dark colours");
    private final Runnable showKeys;

    /**
     * The menu.
     *
     * @param showColours shows the page with the colours of buttons and lamps
     * @param showKeys shows the page with all keys
     * @param tour begins the tour
     */
    ViewMenu(JobModel jobs, Look look, Runnable showColours, Runnable showKeys, Runnable tour) {
        super("View");
        this.jobs = jobs;
        this.look = look;
        this.showKeys = showKeys;
        setId("view-menu");
        night.setAccelerator(shortcut(KeyCode.T));
        wears(night, "view-night", Theme.NIGHT);
        CheckMenuItem contrast = new CheckMenuItem("Strongest contrast");
        wears(contrast, "view-contrast", Theme.CONTRAST);
        getItems()
                .addAll(
                        item("view-larger", "Larger", KeyCode.PLUS, () -> look.enlarge(1)),
                        item("view-smaller", "Smaller", KeyCode.MINUS, () -> look.enlarge(-1)),
                        item(
                                "view-fit",
                                "All of it in the window, or as large as can be read",
                                KeyCode.DIGIT0,
                                look::fit),
                        night,
                        contrast,
                        sizes());
        getItems().addAll(motion(), sound(), new SeparatorMenuItem());
        ToggleGroup dress = new ToggleGroup();
        for (Practice practice : Practice.values()) {
            RadioMenuItem item = new RadioMenuItem("Symbols and tags: " + practice.words());
            item.setId("dress-" + practice.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            item.setToggleGroup(dress);
            item.setOnAction(event -> dress(practice));
            getItems().add(item);
            showingProperty().addListener((any, before, showing) -> item.setSelected(worn() == practice));
        }
        getItems()
                .addAll(
                        item("view-colours", "Colours of buttons and lamps", showColours),
                        new SeparatorMenuItem(),
                        item("view-keys", "All keys  F1", showKeys),
                        item("view-tour", "Tour of five minutes", tour));
    }

    /** An item that puts a theme on, and takes it off again. */
    private void wears(CheckMenuItem item, String id, Theme theme) {
        item.setId(id);
        item.setOnAction(event -> look.themeProperty().set(look.themeProperty().get() == theme ? Theme.DAY : theme));
        look.themeProperty().addListener((any, before, now) -> item.setSelected(now == theme));
    }

    private CheckMenuItem sound() {
        CheckMenuItem sound = new CheckMenuItem("Contactors and horns are heard, quietly");
        sound.setId("view-sound");
        sound.selectedProperty().bindBidirectional(look.soundProperty());
        return sound;
    }

    private CheckMenuItem motion() {
        CheckMenuItem motion = new CheckMenuItem("Rotors turn on the drawing");
        motion.setId("view-motion");
        motion.selectedProperty().bindBidirectional(look.motionProperty());
        return motion;
    }

    /** How large everything in the window is. */
    private Menu sizes() {
        Menu sizes = new Menu("Size of everything");
        sizes.setId("view-size");
        ToggleGroup group = new ToggleGroup();
        for (int percent : SIZES) {
            RadioMenuItem item = new RadioMenuItem(percent + " %");
            item.setId("view-size-" + percent);
            item.setToggleGroup(group);
            item.setSelected(percent == SIZES.get(0));
            item.setOnAction(event -> look.magnificationProperty().set(percent / 100.0));
            sizes.getItems().add(item);
        }
        return sizes;
    }

    private Practice worn() {
        return jobs.jobProperty().get().practice();
    }

    private void dress(Practice practice) {
        jobs.edit(Dress.of(jobs.jobProperty().get(), practice));
    }

    /** Shown beside the item; pressed, the key comes by {@link #key}, which knows more than one way to type a plus. */
    private static KeyCombination shortcut(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    private static MenuItem item(String id, String words, KeyCode code, Runnable action) {
        MenuItem item = item(id, words, action);
        item.setAccelerator(shortcut(code));
        return item;
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** Takes a key; returns whether it was one of this menu. */
    boolean key(KeyEvent event) {
        if (event.getCode() == KeyCode.F1) {
            showKeys.run();
            return true;
        }
        if (!event.isShortcutDown()) {
            return false;
        }
        switch (event.getCode()) {
            case EQUALS, ADD -> look.enlarge(1);
            case SUBTRACT -> look.enlarge(-1);
            case NUMPAD0 -> look.fit();
            default -> {
                return false;
            }
        }
        return true;
    }
}
