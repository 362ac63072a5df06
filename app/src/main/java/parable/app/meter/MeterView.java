package parable.app.meter;

import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.Hint;
import parable.app.run.RunModel;
import parable.bench.Meter;
import parable.card.WireWalk;

/** The meter: its range, its two probes and its display. */
public final class MeterView extends VBox {

    private final RunModel run;
    private final MeterModel meter;
    private final Label display = new Label();

    /** The view of a meter on a running sheet. */
    public MeterView(RunModel run, MeterModel meter) {
        this.run = run;
        this.meter = meter;
        setId("meter");
        getStyleClass().add("meter");
        display.setId("meter-display");
        display.getStyleClass().add("display");
        display.setWrapText(true);
        display.setMinHeight(Region.USE_PREF_SIZE);
        display.setMaxWidth(Double.MAX_VALUE);
        HBox top = new HBox(4, heading(), spacer());
        ToggleGroup ranges = new ToggleGroup();
        for (Meter.Range range : Meter.Range.values()) {
            top.getChildren().add(range(range, ranges));
        }
        top.setAlignment(Pos.CENTER_LEFT);
        HBox probes = new HBox(6, probe(Probe.RED), probe(Probe.BLACK));
        probes.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(top, probes, display);
        run.shownProperty().addListener((any, before, moment) -> show());
        run.shownTimeProperty().addListener((any, before, time) -> {
            if (meter.rangeProperty().get() == Meter.Range.AMPERES) {
                show();
            }
        });
        meter.rangeProperty().addListener((any, before, range) -> show());
        sceneProperty().addListener((any, before, now) -> meter.inHandProperty().set(null));
        show();
    }

    private static Label heading() {
        Label heading = new Label("Meter");
        heading.getStyleClass().add("plate-name");
        return heading;
    }

    private static Region spacer() {
        Region spacer = new Region();
        HBox.setHgrow(spacer, Priority.ALWAYS);
        return spacer;
    }

    private ToggleButton range(Meter.Range range, ToggleGroup group) {
        ToggleButton button = new ToggleButton(range.words());
        button.setId("range-" + range.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().add("latch");
        button.setToggleGroup(group);
        button.setSelected(meter.rangeProperty().get() == range);
        button.setOnAction(event -> {
            button.setSelected(true);
            meter.rangeProperty().set(range);
        });
        return button;
    }

    private Node probe(Probe probe) {
        ToggleButton pick = new ToggleButton("Pick up " + probe.words());
        pick.setId("pick-" + probe.words());
        pick.getStyleClass().addAll("latch", "probe-" + probe.words());
        Hint.on(
                pick,
                "Then click wires on the drawing one after the other, for amperes beside a terminal; or type a wire number or terminal");
        pick.setOnAction(event -> meter.inHandProperty().set(pick.isSelected() ? probe : null));
        meter.inHandProperty().addListener((any, before, inHand) -> pick.setSelected(inHand == probe));
        TextField place = new TextField();
        place.setId("probe-" + probe.words());
        place.setPromptText("4 or K1:13");
        place.setPrefColumnCount(5);
        place.setAccessibleText("Place of the " + probe.words() + " probe, a wire number or a terminal");
        place.textProperty().bindBidirectional(meter.placeProperty(probe));
        place.textProperty().addListener((any, before, text) -> show());
        place.addEventFilter(KeyEvent.KEY_PRESSED, event -> key(event, probe));
        HBox box = new HBox(3, pick, place);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    /** Enter goes on to the red probe; up and down walk the probe along its rung. */
    private void key(KeyEvent event, Probe probe) {
        switch (event.getCode()) {
            case ENTER -> {
                if (meter.placeProperty(Probe.RED).get().isEmpty()) {
                    walk().begin().ifPresent(meter.placeProperty(Probe.RED)::set);
                }
                lookup("#probe-red").requestFocus();
            }
            case DOWN -> move(probe, 1);
            case UP -> move(probe, -1);
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void move(Probe probe, int steps) {
        meter.placeProperty(probe)
                .set(walk().from(meter.placeProperty(probe).get().strip(), steps));
    }

    private WireWalk walk() {
        return new WireWalk(run.assembly().sheet());
    }

    /** Puts the black probe on the return, if it is nowhere, and the keyboard to it. */
    public void takeKeyboard() {
        if (meter.placeProperty(Probe.BLACK).get().isEmpty()) {
            walk().back().ifPresent(meter.placeProperty(Probe.BLACK)::set);
        }
        lookup("#probe-black").requestFocus();
    }

    private void show() {
        display.setText(meter.reading().text());
    }
}
