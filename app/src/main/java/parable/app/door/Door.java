package parable.app.door;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;

/** The door and the stations of the running sheet, a plate for each place. Keys are given out in their order. */
public final class Door extends VBox {

    /** A lamp that is lit, a button that is pressed. */
    static final PseudoClass ON = PseudoClass.getPseudoClass("on");

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

    private final Map<KeyCode, OperatorView> operatorsByKey = new LinkedHashMap<>();
    private final List<OperatorView> operators = new ArrayList<>();
    private final List<LampView> lamps = new ArrayList<>();

    /** The door of a running sheet; the handles are shared with the drawing, by tag. */
    public Door(RunModel run, Map<String, Handle> handles) {
        this(run, handles, Optional.empty());
    }

    /**
     * The door of a running sheet.
     *
     * @param placing mounts devices elsewhere; empty if they stay where they are
     */
    public Door(RunModel run, Map<String, Handle> handles, Optional<Placing> placing) {
        setId("door");
        getStyleClass().add("door");
        Map<String, Plate> plates = new LinkedHashMap<>();
        for (Part part : run.assembly().parts()) {
            if (isOnADoor(part)) {
                add(part, handles, plates.computeIfAbsent(part.device().place(), this::addPlate));
            }
        }
        placing.ifPresent(this::letMove);
        run.shownProperty().addListener((any, before, moment) -> show(moment));
        show(run.shownProperty().get());
    }

    private void letMove(Placing placing) {
        operators.forEach(operator ->
                Mounted.let(operator, operator.names(), operator.handle().part().tag(), this::plates, placing));
        lamps.forEach(lamp -> Mounted.let(lamp, lamp.names(), lamp.tag(), this::plates, placing));
    }

    private Iterable<Plate> plates() {
        return getChildren().stream().map(Plate.class::cast).toList();
    }

    private static boolean isOnADoor(Part part) {
        return part.family() == Family.PUSH_BUTTON
                || part.family() == Family.SELECTOR
                || part.family() == Family.DRUM_SWITCH
                || part.family() == Family.EMERGENCY_STOP
                || part.family() == Family.PILOT_LAMP;
    }

    private Plate addPlate(String place) {
        Plate plate = new Plate(place);
        getChildren().add(plate);
        return plate;
    }

    private void add(Part part, Map<String, Handle> handles, Plate plate) {
        if (part.family() == Family.PILOT_LAMP) {
            LampView lamp = new LampView(part);
            lamps.add(lamp);
            plate.addLamp(lamp);
            return;
        }
        KeyCode key = operators.size() < KEYS.size() ? KEYS.get(operators.size()) : KeyCode.UNDEFINED;
        OperatorView operator = new OperatorView(handles.get(part.tag()), key);
        operators.add(operator);
        operatorsByKey.put(key, operator);
        plate.addOperator(operator);
    }

    private void show(Moment moment) {
        operators.forEach(operator -> operator.show(moment));
        lamps.forEach(lamp -> lamp.show(moment));
    }

    /** Takes a key that belongs to an operator: alone it presses and holds, with Shift it latches. */
    public void key(KeyEvent event) {
        Optional<OperatorView> operator = Optional.ofNullable(operatorsByKey.get(event.getCode()));
        if (operator.isEmpty() || event.isControlDown() || event.isAltDown() || event.isMetaDown()) {
            return;
        }
        Handle handle = operator.get().handle();
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
        operators.forEach(operator -> operator.handle().letGoAll());
    }
}
