package parable.app.door;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import parable.app.look.DirectScroll;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Device;
import parable.parts.Family;
import parable.parts.Part;

/**
 * The door and the stations of the running sheet, a plate for each place. Keys are given out in their order. However many
 * devices there are, only those that are seen or nearly seen are built.
 */
public final class Door extends DirectScroll {

    /** A lamp that is lit, a button that is pressed. */
    static final PseudoClass ON = PseudoClass.getPseudoClass("on");

    /** The setting that says which contact blocks a device has; they stand behind the door. */
    private static final String UNSEEN = "blocks";

    /** So far beyond its edge, in its own heights, devices are built before they are scrolled to. */
    private static final double AHEAD = 0.5;

    private static final List<KeyCode> KEYS = List.of(
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT3,
            KeyCode.DIGIT4,
            KeyCode.DIGIT5,
            KeyCode.DIGIT6,
            KeyCode.DIGIT7,
            KeyCode.DIGIT8,
            KeyCode.DIGIT9,
            KeyCode.DIGIT0);

    /** What is mounted on the door: the same until the device itself looks otherwise. */
    private record Mount(Device device, KeyCode key) {

        static Mount of(Part part, KeyCode key) {
            return new Mount(part.device().with(UNSEEN, ""), key);
        }
    }

    /** No door has more; a window with thousands of them would not open in time. */
    private static final int MOST = 120;

    private final RunModel run;
    private final Map<String, Handle> handles;
    private final Placing placing;
    private final VBox metal = new VBox();
    private final Label rest = new Label();
    private final Map<KeyCode, Tile> operatorsByKey = new LinkedHashMap<>();
    private final Map<String, Plate> plates = new LinkedHashMap<>();
    private Map<Mount, Tile> tiles = new LinkedHashMap<>();
    private List<Part> mounted = List.of();
    private boolean looking;

    /** The door of a running sheet; the handles are shared with the drawing, by tag. */
    public Door(RunModel run, Map<String, Handle> handles, Placing placing) {
        this.run = run;
        this.handles = handles;
        this.placing = placing;
        rest.setId("door-rest");
        rest.setWrapText(true);
        rest.managedProperty().bind(rest.textProperty().isNotEmpty());
        setContent(new VBox(metal, rest));
        setFitToWidth(true);
        getStyleClass().add("door-pane");
        metal.setId("door");
        metal.getStyleClass().add("door");
        metal.layoutBoundsProperty().addListener((any, before, bounds) -> buildWhatIsSeen());
        viewportBoundsProperty().addListener((any, before, bounds) -> buildWhatIsSeen());
        vvalueProperty().addListener((any, before, value) -> buildWhatIsSeen());
        fit();
        run.assemblyProperty().addListener((any, before, changed) -> fit());
        run.shownProperty().addListener((any, before, moment) -> show(moment));
    }

    /** Mounts what the sheet has; what is mounted as it was stays as it is. */
    private void fit() {
        List<Part> all = run.assembly().parts().stream()
                .filter(part -> part.family() == Family.PILOT_LAMP || isOperator(part))
                .toList();
        List<Part> wanted = all.subList(0, Math.min(MOST, all.size()));
        rest.setText(
                all.size() == wanted.size()
                        ? ""
                        : "Not shown here: " + (all.size() - wanted.size()) + " more. Operate them on the drawing.");
        if (sameAs(wanted)) {
            show(run.shownProperty().get());
            return;
        }
        mounted = wanted;
        Map<Mount, Tile> fitted = new LinkedHashMap<>();
        Map<String, List<Tile>> lamps = new LinkedHashMap<>();
        Map<String, List<Tile>> operators = new LinkedHashMap<>();
        operatorsByKey.clear();
        int number = 0;
        for (Part part : wanted) {
            boolean lamp = part.family() == Family.PILOT_LAMP;
            KeyCode key = lamp || number >= KEYS.size() ? KeyCode.UNDEFINED : KEYS.get(number);
            Mount mount = Mount.of(part, key);
            Tile tile = Optional.ofNullable(tiles.get(mount)).orElseGet(() -> tile(part, key));
            fitted.put(mount, tile);
            (lamp ? lamps : operators)
                    .computeIfAbsent(part.device().place(), any -> new ArrayList<>())
                    .add(tile);
            operators.computeIfAbsent(part.device().place(), any -> new ArrayList<>());
            if (key != KeyCode.UNDEFINED) {
                number++;
                operatorsByKey.put(key, tile);
            }
        }
        tiles = fitted;
        mount(lamps, operators);
        show(run.shownProperty().get());
        buildWhatIsSeen();
    }

    /** Whether the same parts are mounted already; an edit takes over the parts that it leaves alone. */
    private boolean sameAs(List<Part> wanted) {
        boolean same = wanted.size() == mounted.size() && !wanted.isEmpty();
        for (int i = 0; same && i < wanted.size(); i++) {
            same = wanted.get(i) == mounted.get(i);
        }
        return same;
    }

    private static boolean isOperator(Part part) {
        return part.family() == Family.PUSH_BUTTON
                || part.family() == Family.SELECTOR
                || part.family() == Family.DRUM_SWITCH
                || part.family() == Family.EMERGENCY_STOP;
    }

    private Tile tile(Part part, KeyCode key) {
        Optional<Handle> handle = Optional.ofNullable(handles.get(part.tag()));
        return new Tile(handle, tile -> {
            Tile.Face face =
                    handle.<Tile.Face>map(grip -> new OperatorView(grip, key)).orElseGet(() -> new LampView(part));
            Mounted.let(tile, face.words, part.tag(), plates::values, placing);
            return face;
        });
    }

    private void mount(Map<String, List<Tile>> lamps, Map<String, List<Tile>> operators) {
        plates.keySet().retainAll(operators.keySet());
        operators.forEach((place, mounted) ->
                plates.computeIfAbsent(place, Plate::new).mount(lamps.getOrDefault(place, List.of()), mounted));
        List<Plate> wanted = operators.keySet().stream().map(plates::get).toList();
        if (!metal.getChildren().equals(wanted)) {
            metal.getChildren().setAll(wanted);
        }
    }

    /** After the scene has been laid out, for only then it is known what is seen. */
    private void buildWhatIsSeen() {
        if (!looking) {
            looking = true;
            Platform.runLater(() -> {
                looking = false;
                build();
            });
        }
    }

    private void build() {
        if (metal.getHeight() == 0) {
            return;
        }
        Bounds seen = localToScene(getLayoutBounds());
        double ahead = AHEAD * seen.getHeight();
        Bounds area =
                new BoundingBox(seen.getMinX(), seen.getMinY() - ahead, seen.getWidth(), seen.getHeight() + 2 * ahead);
        for (Tile tile : tiles.values()) {
            if (!tile.isBuilt() && tile.isIn(area)) {
                tile.build();
                tile.show(run.shownProperty().get());
            }
        }
    }

    private void show(Moment moment) {
        if (moment.assembly() == run.assembly()) {
            tiles.values().forEach(tile -> tile.show(moment));
        }
    }

    /** Takes a key that belongs to an operator: alone it presses and holds, with Shift it latches. */
    public void key(KeyEvent event) {
        Optional<Handle> operator =
                Optional.ofNullable(operatorsByKey.get(event.getCode())).flatMap(Tile::handle);
        if (operator.isEmpty() || event.isControlDown() || event.isAltDown() || event.isMetaDown()) {
            return;
        }
        Handle handle = operator.get();
        if (event.getEventType() == KeyEvent.KEY_RELEASED) {
            handle.letGo(event.getCode());
        } else if (event.getEventType() == KeyEvent.KEY_PRESSED && !event.isShiftDown()) {
            handle.grip(event.getCode());
        } else if (event.getEventType() == KeyEvent.KEY_PRESSED) {
            handle.toggleLatch();
        }
        event.consume();
    }

    /** All hands let go, as when the window is left. */
    public void letGo() {
        tiles.values().forEach(tile -> tile.handle().ifPresent(Handle::letGoAll));
    }
}
