package parable.app.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.DirectScroll;
import parable.app.look.Look;
import parable.app.look.WhileShown;
import parable.check.MotorCircuit;
import parable.circuit.Stated;
import parable.files.SizingJson;
import parable.sizing.BrakeQuestion;
import parable.sizing.ControlQuestion;
import parable.sizing.MotorQuestion;
import parable.sizing.MotorSizing;
import parable.sizing.Origin;
import parable.sizing.Plot;
import parable.sizing.SheetSizing;
import parable.sizing.SizingInputs;
import parable.sizing.SizingPlots;
import parable.sizing.SizingQuestion;
import parable.sizing.SizingResult;

/** What is in the window in the step of sizing: the devices of a sheet, what is given and follows of one, the whole job, the tables. */
public final class SizingPage {

    private static final String JOB = "Whole job";
    private static final String TABLES = "Tables";
    private static final double GAP = 8;

    /** Below this width inputs are in one column. */
    private static final double NARROW = 700;

    /** What decides most of the results, whoever says it. */
    private static final Set<SizingQuestion> FIRST = Set.of(
            MotorQuestion.LENGTH,
            MotorQuestion.METHOD,
            MotorQuestion.AMBIENT,
            MotorQuestion.GROUPED,
            MotorQuestion.SERVICE_FACTOR,
            ControlQuestion.LENGTH,
            ControlQuestion.WIRE,
            BrakeQuestion.TIMES,
            BrakeQuestion.SECONDS,
            BrakeQuestion.STOPS);

    private final SizingModel model;
    private final String name;
    private final Look look;
    private final Consumer<String> tell;
    private final FlowPane chips = new FlowPane(4, 4);
    private final VBox content = new VBox(GAP);
    private final DirectScroll scroll = new DirectScroll(content);
    private final VBox centre;
    private final VBox curves = new VBox(2 * GAP);
    private final DirectScroll curvesScroll = new DirectScroll(curves);
    private final DifferencesView differences;
    private final TablesView tables;
    private String shown = "";
    private boolean unfolded;
    private boolean wantsKeyboard;

    /** Fields that are taken away while the page is made anew state nothing. */
    private boolean rebuilding;

    /**
     * The page of a sheet.
     *
     * @param name the name of the sheet
     * @param tell says why something makes no sense
     */
    public SizingPage(SizingModel model, String name, Look look, Consumer<String> tell) {
        this.model = model;
        this.name = name;
        this.look = look;
        this.tell = tell;
        differences = new DifferencesView(model, name);
        tables = new TablesView(model, tell);
        chips.getStyleClass().add("panel-places");
        content.getStyleClass().add("sizing-content");
        scroll.setFitToWidth(true);
        scroll.setId("sizing-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        centre = new VBox(chips, scroll);
        centre.getStyleClass().add("sizing");
        curvesScroll.setFitToWidth(true);
        curves.getStyleClass().add("findings");
        WhileShown.follow(centre, this::show, model.sizedProperty());
        scroll.viewportBoundsProperty().addListener((any, before, now) -> {
            if (isNarrow(before.getWidth()) != isNarrow(now.getWidth()) && centre.getScene() != null) {
                show();
            }
        });
    }

    private static boolean isNarrow(double width) {
        return width > 0 && width < NARROW;
    }

    private boolean isNarrow() {
        return isNarrow(scroll.getViewportBounds().getWidth());
    }

    /** What is in the middle. */
    public Node centre() {
        model.look();
        show();
        return centre;
    }

    /** What of the drawing differs. */
    public Node differences() {
        return differences;
    }

    /** The curves of the device that is shown. */
    public Node curves() {
        return curvesScroll;
    }

    /** Puts the keyboard on the devices. */
    public void takeKeyboard() {
        wantsKeyboard = chips.getChildren().isEmpty();
        chips.getChildren().stream().findFirst().ifPresent(Node::requestFocus);
    }

    private void show() {
        Optional<SheetSizing> sheet = model.sheet(name);
        if (sheet.isEmpty()) {
            content.getChildren().setAll(words("The sizing is being worked out…", "card-words"));
            return;
        }
        List<String> subjects = subjects(sheet.get());
        if (!subjects.contains(shown)) {
            shown = subjects.get(0);
        }
        fillChips(sheet.get(), subjects);
        double before = scroll.getVvalue();
        Typing typing = Typing.in(content);
        rebuilding = true;
        curves.getChildren().clear();
        switch (shown) {
            case JOB -> showJob(model.sizedProperty().get().orElseThrow());
            case TABLES -> content.getChildren().setAll(tables.content());
            default -> showDevice(sheet.get());
        }
        rebuilding = false;
        if (curves.getChildren().isEmpty()) {
            curves.getChildren()
                    .setAll(words("Choose a motor or a transformer: its curves are shown here.", "card-words"));
        }
        scroll.layout();
        scroll.setVvalue(before);
        typing.goOnIn(content);
    }

    private void showJob(SizingModel.Sized sized) {
        content.getChildren().setAll(new JobTable(this::stateOfJob, tell).content(sized, isNarrow()));
        SizingPlots.of(sized.sizing()).ifPresent(plot -> curves.getChildren().add(new PlotView(plot, look)));
    }

    private static List<String> subjects(SheetSizing sheet) {
        List<String> subjects = new ArrayList<>();
        sheet.motors().forEach(one -> subjects.add(one.tag()));
        sheet.supplies().forEach(one -> subjects.add(one.tag()));
        sheet.brakes().forEach(one -> subjects.add(one.tag()));
        subjects.add(JOB);
        subjects.add(TABLES);
        return subjects;
    }

    /** The buttons stay while the devices are the same, so that a click meets what it was aimed at. */
    private void fillChips(SheetSizing sheet, List<String> subjects) {
        List<String> titles =
                subjects.stream().map(subject -> title(sheet, subject)).toList();
        List<String> before = chips.getChildren().stream()
                .map(chip -> ((ToggleButton) chip).getText())
                .toList();
        if (!titles.equals(before)) {
            chips.getChildren()
                    .setAll(subjects.stream()
                            .map(subject -> chip(subject, title(sheet, subject)))
                            .toList());
        }
        for (int i = 0; i < subjects.size(); i++) {
            ((ToggleButton) chips.getChildren().get(i))
                    .setSelected(subjects.get(i).equals(shown));
        }
        if (wantsKeyboard) {
            wantsKeyboard = false;
            chips.getChildren().get(Math.max(0, subjects.indexOf(shown))).requestFocus();
        }
    }

    private ToggleButton chip(String subject, String title) {
        ToggleButton chip = new ToggleButton(title);
        chip.setId("sizing-of-" + subject.replace(' ', '-'));
        chip.setOnAction(event -> {
            shown = subject;
            scroll.setVvalue(0);
            show();
        });
        return chip;
    }

    private static String title(SheetSizing sheet, String subject) {
        String title = Optional.<SheetSizing.Sized<?>>empty()
                .or(() -> sheet.motors().stream()
                        .filter(one -> one.tag().equals(subject))
                        .findFirst())
                .or(() -> sheet.supplies().stream()
                        .filter(one -> one.tag().equals(subject))
                        .findFirst())
                .or(() -> sheet.brakes().stream()
                        .filter(one -> one.tag().equals(subject))
                        .findFirst())
                .map(SheetSizing.Sized::title)
                .orElse("");
        return title.isEmpty() || title.equals(subject) ? subject : subject + "  " + title;
    }

    private void showDevice(SheetSizing sheet) {
        List<Node> nodes = new ArrayList<>();
        sheet.motors().stream()
                .filter(one -> one.tag().equals(shown))
                .findFirst()
                .ifPresent(one -> {
                    add(
                            one,
                            List.of(MotorQuestion.values()),
                            one.sizing().map(MotorSizing::inputs),
                            one.sizing().map(MotorSizing::results).orElse(List.of()),
                            nodes);
                    one.sizing().ifPresent(sized -> {
                        sized.notes().forEach(note -> nodes.add(words(note, "finding-reason")));
                        plots(sized).forEach(plot -> curves.getChildren().add(new PlotView(plot, look)));
                    });
                });
        sheet.supplies().stream()
                .filter(one -> one.tag().equals(shown))
                .findFirst()
                .ifPresent(one -> {
                    add(
                            one,
                            ControlQuestion.all(),
                            one.sizing().map(sized -> sized.inputs()),
                            one.sizing().map(sized -> sized.results()).orElse(List.of()),
                            nodes);
                    one.sizing()
                            .filter(sized -> sized.result("control-voltage").isPresent())
                            .ifPresent(sized -> curves.getChildren().add(new PlotView(SizingPlots.of(sized), look)));
                });
        sheet.brakes().stream()
                .filter(one -> one.tag().equals(shown))
                .findFirst()
                .ifPresent(one -> add(
                        one,
                        BrakeQuestion.all(),
                        one.sizing().map(sized -> sized.inputs()),
                        one.sizing().map(sized -> sized.results()).orElse(List.of()),
                        nodes));
        nodes.add(words(SizingJson.ADVICE, "limits"));
        content.getChildren().setAll(nodes);
    }

    private List<Plot> plots(MotorSizing sized) {
        Optional<MotorCircuit> circuit = model.sizedProperty()
                .get()
                .flatMap(one -> one.facts().get(name).motors().stream()
                        .filter(motor -> motor.motor().tag().equals(shown))
                        .findFirst());
        return SizingPlots.of(
                sized,
                circuit.flatMap(MotorCircuit::protection),
                circuit.flatMap(MotorCircuit::release)
                        .flatMap(carrier -> carrier.part().heater()));
    }

    private void add(
            SheetSizing.Sized<?> one,
            List<? extends SizingQuestion> asked,
            Optional<SizingInputs> inputs,
            List<SizingResult> results,
            List<Node> nodes) {
        if (!one.problem().isEmpty()) {
            nodes.add(words(one.problem(), "card-refusal"));
        }
        inputs.ifPresent(known -> {
            if (!known.all().isEmpty()) {
                nodes.add(words("Nameplate and conditions", "sizing-heading"));
                addInputs(asked, known, nodes);
            }
        });
        nodes.add(words("What follows", "sizing-heading"));
        nodes.add(new ResultRows(results, isNarrow(), this::state, tell));
    }

    /** What is given, drawn or decides most; the others are folded away until somebody wants them. */
    private void addInputs(List<? extends SizingQuestion> asked, SizingInputs known, List<Node> nodes) {
        List<SizingQuestion> first = new ArrayList<>();
        List<SizingQuestion> others = new ArrayList<>();
        List<? extends SizingQuestion> decisive =
                asked.stream().filter(known::decides).toList();
        decisive.forEach(one -> (known.origin(one) != Origin.ASSUMED || FIRST.contains(one) ? first : others).add(one));
        nodes.add(new InputGrid(unfolded ? decisive : first, known, isNarrow(), this::state, tell));
        if (!others.isEmpty()) {
            ToggleButton more = new ToggleButton(
                    unfolded
                            ? "Fold away what is assumed"
                            : "Show the other " + others.size() + ", assumed or not known");
            more.setId("sizing-more");
            more.setSelected(unfolded);
            more.setOnAction(event -> {
                unfolded = !unfolded;
                show();
                content.lookup("#sizing-more").requestFocus();
            });
            nodes.add(more);
        }
    }

    private String state(String quantity, String value) {
        return rebuilding ? "" : model.state(name, new Stated(shown, quantity, value));
    }

    private String stateOfJob(String quantity, String value) {
        return rebuilding ? "" : model.stateOfJob(new Stated("", quantity, value));
    }

    static Label words(String text, String style) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }
}
