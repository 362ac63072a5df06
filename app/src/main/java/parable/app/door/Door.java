package parable.app.door;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Device;
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

    /** What is mounted on the door: the same until the device itself is changed. */
    private record Mount(Device device, KeyCode key) {}

    private final Optional<Placing> placing;
    private final Map<KeyCode, OperatorView> operatorsByKey = new LinkedHashMap<>();
    private final Map<Mount, OperatorView> operators = new LinkedHashMap<>();
    private final Map<Device, LampView> lamps = new LinkedHashMap<>();
    private final Map<String, Plate> plates = new LinkedHashMap<>();
    private RunModel run;

    /**
     * The door of a running sheet; the handles are shared with the drawing, by tag.
     *
     * @param placing mounts devices elsewhere; empty if they stay where they are
     */
    public Door(RunModel run, Map<String, Handle> handles, Optional<Placing> placing) {
        this.placing = placing;
        setId("door");
        getStyleClass().add("door");
        follow(run, handles);
    }

    /** Shows a run that has taken the place of the one before; what is mounted as it was stays as it is. */
    public void follow(RunModel next, Map<String, Handle> handles) {
        run = next;
        Set<Mount> gone = new HashSet<>(operators.keySet());
        Set<Device> goneLamps = new HashSet<>(lamps.keySet());
        Map<String, List<LampView>> lampsByPlace = new LinkedHashMap<>();
        Map<String, List<OperatorView>> operatorsByPlace = new LinkedHashMap<>();
        operatorsByKey.clear();
        int number = 0;
        for (Part part : next.assembly().parts()) {
            if (part.family() == Family.PILOT_LAMP) {
                goneLamps.remove(part.device());
                lampsByPlace
                        .computeIfAbsent(part.device().place(), any -> new ArrayList<>())
                        .add(lamps.computeIfAbsent(part.device(), any -> lamp(part)));
                operatorsByPlace.computeIfAbsent(part.device().place(), any -> new ArrayList<>());
            } else if (isOperator(part)) {
                KeyCode key = number < KEYS.size() ? KEYS.get(number) : KeyCode.UNDEFINED;
                number++;
                Mount mount = new Mount(part.device(), key);
                gone.remove(mount);
                OperatorView operator = operators.computeIfAbsent(mount, any -> operator(handles.get(part.tag()), key));
                operatorsByKey.put(key, operator);
                operatorsByPlace
                        .computeIfAbsent(part.device().place(), any -> new ArrayList<>())
                        .add(operator);
            }
        }
        operators.keySet().removeAll(gone);
        lamps.keySet().removeAll(goneLamps);
        mount(lampsByPlace, operatorsByPlace);
        next.shownProperty().addListener((any, before, moment) -> {
            if (run == next) {
                show(moment);
            }
        });
        show(next.shownProperty().get());
    }

    private static boolean isOperator(Part part) {
        return part.family() == Family.PUSH_BUTTON
                || part.family() == Family.SELECTOR
                || part.family() == Family.DRUM_SWITCH
                || part.family() == Family.EMERGENCY_STOP;
    }

    private LampView lamp(Part part) {
        LampView lamp = new LampView(part);
        placing.ifPresent(moving -> Mounted.let(lamp, lamp.names(), lamp.tag(), plates::values, moving));
        return lamp;
    }

    private OperatorView operator(Handle handle, KeyCode key) {
        OperatorView operator = new OperatorView(handle, key);
        String tag = handle.part().tag();
        placing.ifPresent(moving -> Mounted.let(operator, operator.names(), tag, plates::values, moving));
        return operator;
    }

    private void mount(Map<String, List<LampView>> lampsByPlace, Map<String, List<OperatorView>> operatorsByPlace) {
        plates.keySet().retainAll(operatorsByPlace.keySet());
        operatorsByPlace.forEach((place, mounted) ->
                plates.computeIfAbsent(place, Plate::new).mount(lampsByPlace.getOrDefault(place, List.of()), mounted));
        List<Plate> wanted = operatorsByPlace.keySet().stream().map(plates::get).toList();
        if (!getChildren().equals(wanted)) {
            getChildren().setAll(wanted);
        }
    }

    private void show(Moment moment) {
        operators.values().forEach(operator -> operator.show(moment));
        lamps.values().forEach(lamp -> lamp.show(moment));
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
        operators.values().forEach(operator -> operator.handle().letGoAll());
    }
}
