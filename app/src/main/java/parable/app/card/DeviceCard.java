package parable.app.card;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import parable.app.fault.FaultGroups;
import parable.app.look.Colours;
import parable.app.look.Hint;
import parable.app.run.RunModel;
import parable.bench.Action;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.card.ContactUse;
import parable.card.SettingLine;
import parable.card.WireFacts;
import parable.check.Finding;
import parable.circuit.Device;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.SettingForm;

/** The card of a device: what it is, how it is and why, its contacts, settings, faults and findings. */
final class DeviceCard extends VBox {

    private static final int MOST_NOTES = 3;

    private final RunModel run;
    private final CardModel model;
    private final CardDesk desk;
    private final Part part;
    private final Label what = CardParts.words("");
    private final Label state = CardParts.words("");
    private final Label left = CardParts.words("");
    private final ChangeListener<Object> ticked = (any, before, now) -> tick();
    private final Label refusal = CardParts.words("");
    private final VBox changes = new VBox(4);
    private final Map<ContactUse, Label> contacts = new LinkedHashMap<>();
    private final VBox faults = new VBox(3);
    private Optional<List<Fault>> shownFaults = Optional.empty();

    /**
     * The card of a device of the running sheet.
     *
     * @param tag a device that the sheet has
     */
    DeviceCard(RunModel run, CardModel model, CardDesk desk, String tag) {
        super(6);
        this.run = run;
        this.model = model;
        this.desk = desk;
        part = run.assembly().part(tag).orElseThrow();
        setId("card-" + tag);
        refusal.getStyleClass().add("card-refusal");
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        state.setId("card-state");
        left.setId("card-left");
        left.managedProperty().bind(left.textProperty().isNotEmpty());
        getChildren().addAll(head(), state, left, changes);
        if (part.family() == Family.TIMER) {
            run.shownTimeProperty().addListener(new WeakChangeListener<>(ticked));
        }
        if (!part.contacts().isEmpty() || !part.loads().isEmpty()) {
            getChildren().add(CardParts.section("Contacts and coil", contacts()));
        }
        getChildren().addAll(CardParts.section("Settings", settings()), faults);
        List<Finding> found = desk.findings(tag);
        if (!found.isEmpty()) {
            getChildren()
                    .add(CardParts.section(
                            "Found", found.stream().map(DeviceCard::finding).toList()));
        }
        List<String> wires = WireFacts.landings(run.assembly(), tag);
        if (!wires.isEmpty()) {
            getChildren().add(CardParts.section("Wires", List.of(CardParts.words(String.join(", ", wires)))));
        }
        getChildren().add(CardParts.section("Record", notes(desk)));
        show();
    }

    /** The last of what the record says of it, and a field for more. */
    private List<Node> notes(CardDesk desk) {
        List<Node> lines = new ArrayList<>();
        desk.notes(part.tag()).stream().limit(MOST_NOTES).map(CardParts::words).forEach(lines::add);
        TextField note = CardParts.field(
                "card-note",
                "A remark on " + part.tag() + " for the record",
                "",
                typed -> typed.isBlank() ? Optional.empty() : desk.note(part.tag(), typed.strip()),
                refusal::setText);
        note.setPromptText("what was found or done; Enter writes it down");
        lines.add(note);
        return lines;
    }

    private Node head() {
        String kind = part.family().words();
        Label title = CardParts.title(part.tag());
        title.setId("card-title");
        what.setText(kind.substring(0, 1).toUpperCase(Locale.ROOT) + kind.substring(1));
        HBox head = new HBox(8, title, what);
        head.setAlignment(Pos.BASELINE_LEFT);
        return head;
    }

    private static Label finding(Finding finding) {
        return CardParts.words(finding.severity().word() + ": " + finding.text());
    }

    private List<Node> contacts() {
        List<Node> lines = new ArrayList<>();
        for (ContactUse use : ContactUse.of(run.assembly().sheet(), part)) {
            Label now = CardParts.words("");
            now.setMinWidth(64);
            contacts.put(use, now);
            Label marking = CardParts.words(use.marking());
            marking.setMinWidth(54);
            HBox line = new HBox(6, marking, now);
            line.setAlignment(Pos.CENTER_LEFT);
            use.place()
                    .ifPresentOrElse(
                            place -> line.getChildren()
                                    .add(CardParts.link(
                                            "card-go-" + use.marking(),
                                            use.where(),
                                            "Shows it on the drawing",
                                            () -> desk.goTo(place))),
                            () -> line.getChildren().add(CardParts.words(use.where())));
            lines.add(line);
        }
        return lines;
    }

    private List<Node> settings() {
        Device device = part.device();
        List<Node> lines = new ArrayList<>();
        lines.add(CardParts.line(
                "Tag",
                CardParts.field(
                        "card-tag",
                        "Tag of " + part.tag(),
                        part.tag(),
                        typed -> desk.rename(part.tag(), typed.strip()),
                        refusal::setText)));
        lines.add(CardParts.line(
                "Name",
                CardParts.field(
                        "card-name",
                        "What " + part.tag() + " is for",
                        device.label(),
                        typed -> desk.put(device.labelled(typed.strip())),
                        refusal::setText)));
        lines.add(CardParts.line(
                "Place",
                CardParts.field(
                        "card-place",
                        "Where " + part.tag() + " is",
                        device.place(),
                        typed -> desk.put(device.placed(typed.strip())),
                        refusal::setText)));
        SettingLine.of(device).forEach(line -> lines.add(CardParts.line(line.words(), control(line))));
        lines.add(refusal);
        return lines;
    }

    private Node control(SettingLine line) {
        Device device = part.device();
        String name = line.form().name();
        String accessible = line.words() + " of " + part.tag();
        if (line.form() instanceof SettingForm.OneOf choice) {
            ComboBox<String> box = new ComboBox<>();
            box.setId("card-set-" + name);
            box.setAccessibleText(accessible);
            box.getItems().setAll(choice.words());
            box.setValue(line.written().isEmpty() ? choice.byDefault() : line.written());
            if (name.equals("colour")) {
                box.setButtonCell(new Swatch());
                box.setCellFactory(list -> new Swatch());
            }
            box.setOnAction(event ->
                    refusal.setText(desk.put(device.with(name, box.getValue())).orElse("")));
            box.getStyleClass().add("card-field");
            box.setMaxWidth(Double.MAX_VALUE);
            return box;
        }
        TextField field = CardParts.field(
                "card-set-" + name,
                accessible,
                line.written(),
                typed -> desk.put(device.with(name, line.completed(typed))),
                refusal::setText);
        field.setPromptText(line.form().byDefault());
        Hint.on(field, line.expected());
        return field;
    }

    /** A colour with its name. */
    private static final class Swatch extends ListCell<String> {
        @Override
        protected void updateItem(String colour, boolean empty) {
            super.updateItem(colour, empty);
            boolean none = empty || colour == null || colour.isEmpty();
            setText(none ? "" : colour);
            if (none) {
                setGraphic(null);
            } else {
                Circle swatch = new Circle(6, Colours.paint(colour));
                swatch.getStyleClass().add("swatch");
                setGraphic(swatch);
            }
        }
    }

    /** Shows the device as it is at the instant that is looked at. */
    void show() {
        Moment moment = run.shownProperty().get();
        if (moment.assembly() != run.assembly()) {
            return;
        }
        state.setText(run.reason(part.tag()));
        tick();
        contacts.forEach((use, label) -> label.setText(
                use.isLoad()
                        ? moment.energised(part.tag(), use.index()) ? "energised" : "off"
                        : moment.closed(part.tag(), use.index()) ? "closed" : "open"));
        showFaults(moment);
        showChanges(moment);
    }

    /** Says how much of its time a timer has left. */
    private void tick() {
        Optional<Moment.Count> count = run.shownProperty().get().count(part.tag());
        left.setText(count.map(any -> any.secondsLeft(run.shownTimeProperty().get()))
                .map(seconds -> String.format(Locale.ROOT, "%.1f s left of its time.", seconds))
                .orElse(""));
    }

    private void showChanges(Moment moment) {
        changes.getChildren().clear();
        if (part.loads().isEmpty()) {
            return;
        }
        boolean explained = model.explainedProperty().get();
        changes.getChildren()
                .add(CardParts.link(
                        "card-way",
                        explained ? "Hide the way" : "Show the way on the drawing",
                        "Numbers the contacts in the order of the sentence; a ring is around each that is open",
                        () -> model.explain(!explained)));
        if (explained) {
            changes.getChildren().add(new WaySteps(run, model, part.tag()));
        }
        String purpose = moment.energised(part.tag()) ? "stop" : "start";
        if (!model.askedProperty().get()) {
            changes.getChildren()
                    .add(CardParts.link(
                            "card-ask",
                            "What would " + purpose + " it?",
                            "Tries each single action on a bench of its own",
                            model::ask));
            return;
        }
        List<Action> actions = run.changes(part.tag());
        if (actions.isEmpty()) {
            changes.getChildren().add(CardParts.words("No single action would " + purpose + " it from here."));
            return;
        }
        FlowPane buttons = new FlowPane(4, 4);
        for (Action action : actions) {
            String words = (action.verb().word() + " " + action.tag() + " " + action.position()).strip();
            buttons.getChildren()
                    .add(CardParts.link(
                            "card-do-" + action.tag() + "-" + action.verb().word(),
                            words,
                            "Does it now",
                            () -> run.act(action)));
        }
        changes.getChildren().addAll(CardParts.words("This would " + purpose + " it from here:"), buttons);
    }

    private void showFaults(Moment moment) {
        List<Fault> there = moment.faults().stream()
                .filter(fault -> fault.tag().equals(part.tag()))
                .toList();
        if (shownFaults.filter(there::equals).isPresent()) {
            return;
        }
        shownFaults = Optional.of(there);
        faults.getChildren().clear();
        if (Fault.possibleIn(part).isEmpty()) {
            return;
        }
        MenuButton put = new MenuButton(there.isEmpty() ? "Put in a fault" : "Faults");
        put.setId("card-faults");
        put.getStyleClass().add("card-link");
        put.setMinWidth(Region.USE_PREF_SIZE);
        put.getItems().setAll(FaultGroups.of(run, part));
        Stream<Node> taken = there.stream()
                .map(fault -> CardParts.link(
                        "card-mend",
                        "Take out: " + fault.words(),
                        "The device is sound again",
                        () -> run.set(fault, false)));
        faults.getChildren()
                .add(CardParts.section(
                        "Faults", Stream.concat(taken, Stream.of(put)).toList()));
    }
}
