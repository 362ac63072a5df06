package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.app.look.ActionButton;
import parable.app.run.RunModel;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.files.PlainFile;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/** The top of the window: the job, its sheets, its recipes, its file; and what there is to tell about them. */
final class Header extends VBox {

    private static final int MOST_TABS = 3;

    private final JobModel jobs;
    private final FilePrompt prompt;
    private final SheetActions sheetActions;
    private final Consumer<String> chooseSheet;
    private final Consumer<Scenario> play;
    private final ChangeListener<String> noticed = (any, before, words) -> tell(words);
    private Optional<RunModel> shownRun = Optional.empty();
    private final Label job = new Label();
    private final HBox sheets = new HBox();
    private List<String> named = List.of();
    private String chosen = "";
    private final MenuButton recipes = new MenuButton("Recipes");
    private final ActionButton save =
            new ActionButton("save", "Save  Ctrl+S", "Writes the job to its file", this::save);
    private final MenuButton sheetMenu = new MenuButton("Sheets  Ctrl+N");
    private final Label notice = new Label();
    private final HBox noticeBar;

    Header(
            JobModel jobs,
            FilePrompt prompt,
            SheetActions sheetActions,
            Consumer<String> chooseSheet,
            Consumer<Scenario> play,
            Node... menus) {
        this.sheetActions = sheetActions;
        this.jobs = jobs;
        this.prompt = prompt;
        this.chooseSheet = chooseSheet;
        this.play = play;
        job.getStyleClass().add("job-name");
        sheets.getStyleClass().add("sheets");
        fillSheetMenu();
        recipes.setId("recipes");
        recipes.setMinWidth(Region.USE_PREF_SIZE);
        recipes.setTooltip(new Tooltip("Scripts that operate this sheet and say what to expect"));
        noticeBar = noticeBar();
        getChildren().addAll(line(menus), noticeBar);
        jobs.unsavedProperty().addListener((any, before, unsaved) -> showUnsaved());
        showUnsaved();
        jobs.messageProperty().addListener((any, before, message) -> tell(message));
        tell(jobs.messageProperty().get());
    }

    /** The job, its sheets, and what can be done with it. */
    private HBox line(Node... menus) {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(10, job, sheets, sheetMenu, gap);
        line.getChildren().addAll(menus);
        line.getChildren()
                .addAll(
                        new ActionButton("open", "Open…  Ctrl+O", "Opens a job", this::open),
                        save,
                        new ActionButton("save-as", "Save as…", "Ctrl+Shift+S", this::saveAs));
        line.getChildren().stream().filter(ButtonBase.class::isInstance).forEach(button -> ((ButtonBase) button)
                .setMinWidth(USE_PREF_SIZE));
        line.getStyleClass().add("header");
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private HBox noticeBar() {
        notice.setId("notice");
        notice.setWrapText(true);
        HBox.setHgrow(notice, Priority.ALWAYS);
        notice.setMaxWidth(Double.MAX_VALUE);
        HBox bar = new HBox(
                12, notice, new ActionButton("notice-done", "OK", "Puts this message away", this::putNoticeAway));
        bar.getStyleClass().add("notice-bar");
        bar.setAlignment(Pos.CENTER_LEFT);
        bar.managedProperty().bind(bar.visibleProperty());
        return bar;
    }

    private void showUnsaved() {
        boolean unsaved = jobs.unsavedProperty().get();
        save.setText(unsaved ? "Save \u25cf  Ctrl+S" : "Save  Ctrl+S");
        save.setAccessibleText(unsaved ? "Save; there are changes that are not saved" : "Save");
    }

    /** The recipes of the shown sheet; they belong to trying, beside which they stand. */
    Node recipes() {
        return recipes;
    }

    /** Shows the open job. */
    void showJob() {
        Job open = jobs.jobProperty().get();
        job.setText(open.name());
        job.setAccessibleText(open.name());
        List<String> names = open.sheets().stream().map(Sheet::name).toList();
        if (names.equals(named)) {
            return;
        }
        named = names;
        sheets.getChildren().clear();
        if (open.sheets().size() > MOST_TABS) {
            sheets.getChildren().add(sheetChoice(open));
            return;
        }
        for (Sheet sheet : open.sheets()) {
            ToggleButton tab = new ToggleButton(sheet.name());
            tab.setOnAction(event -> chooseSheet.accept(sheet.name()));
            sheets.getChildren().add(tab);
        }
    }

    /** One button for all sheets, where tabs would not find room. */
    private MenuButton sheetChoice(Job open) {
        MenuButton choice = new MenuButton();
        choice.setId("sheet-choice");
        choice.setTooltip(new Tooltip("All " + open.sheets().size() + " sheets of this job"));
        for (Sheet sheet : open.sheets()) {
            MenuItem item = new MenuItem(sheet.name());
            item.setOnAction(event -> chooseSheet.accept(sheet.name()));
            choice.getItems().add(item);
        }
        return choice;
    }

    private void fillSheetMenu() {
        sheetMenu.setId("sheet-menu");
        sheetMenu.setTooltip(new Tooltip("Ctrl+PageUp and Ctrl+PageDown go from sheet to sheet"));
        sheetMenu
                .getItems()
                .addAll(
                        item("sheet-start", "New starter by questions…", sheetActions::start),
                        item("sheet-empty", "New empty sheet", sheetActions::addEmpty),
                        item("sheet-copy", "Copy this sheet", sheetActions::copy),
                        item("sheet-rename", "Rename this sheet…", sheetActions::rename),
                        item("sheet-left", "Move this sheet to the left", () -> sheetActions.move(-1)),
                        item("sheet-right", "Move this sheet to the right", () -> sheetActions.move(1)),
                        item("sheet-remove", "Remove this sheet", sheetActions::remove));
    }

    /** Goes so many sheets on, no further than the first and the last. */
    private void goOn(int sheetsOn) {
        int there = named.indexOf(chosen) + sheetsOn;
        if (there >= 0 && there < named.size()) {
            chooseSheet.accept(named.get(there));
        }
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** Shows which sheet runs, and its recipes. */
    void showSheet(String name, RunModel run) {
        chosen = name;
        for (Node shown : sheets.getChildren()) {
            if (shown instanceof ToggleButton tab) {
                tab.setSelected(tab.getText().equals(name));
            } else if (shown instanceof MenuButton choice) {
                choice.setText("Sheet: " + name);
            }
        }
        shownRun.ifPresent(before -> before.noticeProperty().removeListener(noticed));
        shownRun = Optional.of(run);
        run.noticeProperty().addListener(noticed);
        recipes.getItems().clear();
        for (Path script : scripts(name)) {
            MenuItem item = new MenuItem(Recipes.title(script));
            item.setOnAction(event -> playScript(script));
            recipes.getItems().add(item);
        }
        recipes.setDisable(recipes.getItems().isEmpty());
    }

    private List<Path> scripts(String sheet) {
        Optional<Path> origin = jobs.origin();
        try {
            return origin.isPresent() ? Recipes.of(origin.get(), sheet) : List.of();
        } catch (IOException unreadable) {
            tell("The recipes beside this job cannot be read: " + FileFailure.words(unreadable) + ".");
            return List.of();
        }
    }

    private void playScript(Path script) {
        try {
            play.accept(Scenario.read(
                    PlainFile.text(script), shownRun.orElseThrow().assembly().sheet()));
        } catch (ScenarioException nonsense) {
            tell("The recipe " + script.getFileName() + " cannot be played: " + nonsense.getMessage() + ".");
        } catch (IOException unreadable) {
            tell("The recipe " + script.getFileName() + " cannot be read: " + FileFailure.words(unreadable) + ".");
        }
    }

    void tell(String words) {
        notice.setText(words);
        noticeBar.setVisible(!words.isEmpty());
    }

    private void putNoticeAway() {
        jobs.acknowledge();
        tell("");
    }

    /** Asks something that need not be answered at once. */
    void offer(String words, String yes, Runnable onYes, String no, Runnable onNo) {
        tell(words);
        HBox answers = new HBox(8);
        answers.getChildren()
                .addAll(
                        new ActionButton("answer-yes", yes, words, () -> answer(answers, onYes)),
                        new ActionButton("answer-no", no, words, () -> answer(answers, onNo)));
        noticeBar.getChildren().add(1, answers);
    }

    private void answer(HBox answers, Runnable action) {
        noticeBar.getChildren().remove(answers);
        tell("");
        action.run();
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
            case PAGE_UP -> goOn(-1);
            case PAGE_DOWN -> goOn(1);
            default -> {}
        }
    }
}
