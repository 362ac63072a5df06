package parable.app;

import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.app.look.ActionButton;
import parable.app.look.Hint;
import parable.circuit.Job;
import parable.files.JobFile;

/** The top of the window, one line: the job and its file, its sheets, undo, and the menus. */
final class Header extends HBox {

    private final JobModel jobs;
    private final FilePrompt prompt;
    private final Consumer<String> chooseSheet;
    private final MenuButton job = new MenuButton();
    private final SheetTabs tabs;
    private final MenuButton sheetMenu = new MenuButton("Sheet");
    /** Beside the word; its room is kept while it is not shown. */
    private final Label unsavedMark = new Label("\u25cf");

    private final ActionButton save =
            new ActionButton("save", "Save", "Writes the job to its file  Ctrl+S", this::save);
    private final Runnable showAll;
    private String chosen = "";

    /**
     * The head of the window.
     *
     * @param chooseSheet goes to a sheet
     * @param menus what is at its right end, before the button that saves
     */
    Header(JobModel jobs, FilePrompt prompt, SheetActions sheetActions, Consumer<String> chooseSheet, Node... menus) {
        super(6);
        this.jobs = jobs;
        this.prompt = prompt;
        this.chooseSheet = chooseSheet;
        showAll = sheetActions::showAll;
        tabs = new SheetTabs(chooseSheet);
        HBox.setHgrow(tabs, Priority.ALWAYS);
        fillJobMenu();
        fillSheetMenu(sheetActions);
        ActionButton all = new ActionButton(
                "all-sheets", "All sheets", "As pictures, with those of the library  Ctrl+Home", sheetActions::showAll);
        getChildren().addAll(job, all, tabs, sheetMenu, step("undo", "Undo", "Ctrl+Z", jobs::undo, false));
        getChildren().add(step("redo", "Redo", "Ctrl+Y", jobs::redo, true));
        getChildren().addAll(menus);
        unsavedMark.getStyleClass().add("unsaved-mark");
        save.setGraphic(unsavedMark);
        save.setContentDisplay(ContentDisplay.RIGHT);
        getChildren().add(save);
        getChildren().stream()
                .filter(part -> part != tabs)
                .map(Region.class::cast)
                .forEach(button -> button.setMinWidth(USE_PREF_SIZE));
        getStyleClass().add("header");
        setAlignment(Pos.CENTER_LEFT);
        jobs.unsavedProperty().addListener((any, before, unsaved) -> showUnsaved());
        showUnsaved();
    }

    private ActionButton step(String id, String words, String key, Runnable action, boolean forward) {
        ActionButton button = new ActionButton(id, words, key, action);
        button.disableProperty().bind((forward ? jobs.redoableProperty() : jobs.undoableProperty()).not());
        return button;
    }

    private void fillJobMenu() {
        job.setId("job-menu");
        job.getStyleClass().add("job-name");
        Hint.on(job, "The job and its file");
        job.getItems()
                .addAll(
                        keyed("open", "Open a job\u2026", KeyCode.O, this::open),
                        new SeparatorMenuItem(),
                        keyed("save-now", "Save", KeyCode.S, this::save),
                        item("save-as", "Save as\u2026  Ctrl+Shift+S", this::saveAs));
    }

    /** The key is shown; pressed, it comes by {@link #key}. */
    private static MenuItem keyed(String id, String words, KeyCode code, Runnable action) {
        MenuItem item = item(id, words, action);
        item.setAccelerator(new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN));
        return item;
    }

    private void showUnsaved() {
        boolean unsaved = jobs.unsavedProperty().get();
        unsavedMark.setVisible(unsaved);
        save.setAccessibleText(unsaved ? "Save; there are changes that are not saved" : "Save");
    }

    /** Shows the open job. */
    void showJob() {
        Job open = jobs.jobProperty().get();
        job.setText(open.name());
        job.setAccessibleText("The job " + open.name());
        tabs.show(open);
    }

    private void fillSheetMenu(SheetActions sheetActions) {
        sheetMenu.setId("sheet-menu");
        Hint.on(sheetMenu, "A new sheet, and all else with sheets  Ctrl+N");
        sheetMenu
                .getItems()
                .addAll(
                        item("sheet-start", "New starter by questions\u2026", sheetActions::start),
                        item("sheet-empty", "New empty sheet", sheetActions::addEmpty),
                        item("sheet-copy", "Copy this sheet", sheetActions::copy),
                        item("sheet-rename", "Rename this sheet\u2026", sheetActions::rename),
                        item("sheet-left", "Move this sheet to the left", () -> sheetActions.move(-1)),
                        item("sheet-right", "Move this sheet to the right", () -> sheetActions.move(1)),
                        item("sheet-remove", "Remove this sheet", sheetActions::remove));
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** Shows which sheet is shown. */
    void showSheet(String name) {
        chosen = name;
        tabs.select(name);
    }

    void open() {
        prompt.toOpen().ifPresent(jobs::open);
    }

    void save() {
        jobs.file().ifPresentOrElse(jobs::save, this::saveAs);
    }

    void saveAs() {
        String name = jobs.jobProperty().get().name().toLowerCase(Locale.ROOT).replace(' ', '-') + JobFile.ENDING;
        prompt.toSave(name).ifPresent(jobs::save);
    }

    void key(KeyEvent event) {
        switch (event.getCode()) {
            case O -> open();
            case S -> {
                if (event.isShiftDown()) {
                    saveAs();
                } else {
                    save();
                }
            }
            case N -> sheetMenu.show();
            case HOME -> showAll.run();
            case PAGE_UP -> chooseSheet.accept(tabs.from(chosen, -1));
            case PAGE_DOWN -> chooseSheet.accept(tabs.from(chosen, 1));
            default -> {}
        }
    }
}
