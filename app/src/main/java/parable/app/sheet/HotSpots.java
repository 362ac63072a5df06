package parable.app.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import javafx.scene.layout.Pane;
import parable.app.run.Handle;
import parable.bench.Moment;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Subject;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/** The places on a drawing where devices can be operated. Only those that are seen, or nearly, stand in the scene. */
final class HotSpots extends Pane {

    /** A place where a device can be operated. */
    private record Spot(Handle handle, Box box) {}

    private final Consumer<Box> focused;
    private final TreeMap<Integer, HotSpot> built = new TreeMap<>();
    private List<Spot> spots = List.of();

    /**
     * No places yet.
     *
     * @param focused takes the place that the keyboard has come to
     */
    HotSpots(Consumer<Box> focused) {
        this.focused = focused;
        setPickOnBounds(false);
    }

    /** Finds the places on another drawing. */
    void fit(Assembly assembly, Drawing drawing, Map<String, Handle> handles) {
        Map<List<Object>, List<Box>> boxes = new LinkedHashMap<>();
        drawing.symbols()
                .filter(symbol -> handles.containsKey(symbol.subject().tag()))
                .filter(symbol -> isOperatedHere(assembly, symbol))
                .forEach(symbol -> boxes.computeIfAbsent(key(assembly, symbol), any -> new ArrayList<>())
                        .add(symbol.box()));
        spots = boxes.entrySet().stream()
                .map(entry -> new Spot(handles.get((String) entry.getKey().get(0)), Box.around(entry.getValue())))
                .toList();
        built.clear();
        getChildren().clear();
    }

    /** The poles of a device that stand side by side are one place. */
    private static List<Object> key(Assembly assembly, Mark.Symbol symbol) {
        Box box = symbol.box();
        return List.of(symbol.subject().tag(), isPole(assembly, symbol.subject()) ? box.y() : box);
    }

    /** An overload relay is operated at its heaters, not at each of its contacts; a controller where its program stands. */
    private static boolean isOperatedHere(Assembly assembly, Mark.Symbol symbol) {
        Part part = assembly.part(symbol.subject().tag()).orElseThrow();
        if (part.family() == Family.CONTROLLER) {
            return false;
        }
        return !(symbol.subject() instanceof Subject.OfContact)
                || part.contacts().stream().noneMatch(Contact::pole)
                || isPole(assembly, symbol.subject());
    }

    private static boolean isPole(Assembly assembly, Subject subject) {
        return subject instanceof Subject.OfContact contact
                && assembly.part(contact.tag())
                        .orElseThrow()
                        .contacts()
                        .get(contact.contact())
                        .pole();
    }

    /**
     * Puts the places between two heights of the drawing where they belong, and takes the others out of the scene, but never
     * the one with the keyboard.
     *
     * @param scale pixels for a unit of the drawing
     */
    void show(double scale, double top, double bottom, Moment moment) {
        boolean changed = false;
        for (int i = 0; i < spots.size(); i++) {
            Box box = spots.get(i).box();
            boolean near = box.y() <= bottom && box.y() + box.height() >= top;
            if (near && !built.containsKey(i)) {
                built.put(i, spot(spots.get(i)));
                changed = true;
            } else if (!near && built.containsKey(i) && !built.get(i).isFocused()) {
                built.remove(i);
                changed = true;
            }
        }
        if (changed) {
            getChildren().setAll(built.values());
        }
        built.values().forEach(spot -> {
            Box box = spot.box();
            spot.resizeRelocate(box.x() * scale, box.y() * scale, box.width() * scale, box.height() * scale);
            spot.show(moment);
        });
    }

    private HotSpot spot(Spot of) {
        HotSpot spot = new HotSpot(of.handle(), of.box());
        spot.focusedProperty().addListener((any, had, has) -> {
            if (has) {
                focused.accept(of.box());
            }
        });
        return spot;
    }

    /** Puts the keyboard on the first place in view, or on the first there is; what was in view stays in view. */
    void requestFirstFocus(Box seen) {
        built.values().stream()
                .filter(spot -> seen.overlaps(spot.box()))
                .findFirst()
                .or(() -> built.values().stream().findFirst())
                .ifPresent(HotSpot::requestFocus);
    }
}
