package parable.app.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.IntFunction;
import java.util.stream.Stream;
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

    /** Whose places they are: the ladder's by the rung, the others by a rung before the first; and which of these. */
    private record Key(int rung, int number) implements Comparable<Key> {
        @Override
        public int compareTo(Key other) {
            return rung != other.rung ? Integer.compare(rung, other.rung) : Integer.compare(number, other.number);
        }
    }

    private static final int BESIDE_LADDER = -1;

    private final Consumer<Box> focused;
    private final TreeMap<Key, HotSpot> built = new TreeMap<>();
    private final Map<Integer, List<Spot>> spots = new HashMap<>();
    private IntFunction<List<Spot>> finder = rung -> List.of();
    private Drawing drawing = new Drawing(0, 0, List.of());

    /**
     * No places yet.
     *
     * @param focused takes the place that the keyboard has come to
     */
    HotSpots(Consumer<Box> focused) {
        this.focused = focused;
        setPickOnBounds(false);
    }

    /** The places are those on another drawing. */
    void fit(Assembly assembly, Drawing of, Map<String, Handle> handles) {
        drawing = of;
        finder =
                rung -> found(assembly, rung == BESIDE_LADDER ? of.symbolsBesideLadder() : of.symbolsOn(rung), handles);
        spots.clear();
        built.clear();
        getChildren().clear();
    }

    private static List<Spot> found(Assembly assembly, Stream<Mark.Symbol> symbols, Map<String, Handle> handles) {
        Map<List<Object>, List<Box>> boxes = new LinkedHashMap<>();
        symbols.filter(symbol -> handles.containsKey(symbol.subject().tag()))
                .filter(symbol -> isOperatedHere(assembly, symbol))
                .forEach(symbol -> boxes.computeIfAbsent(key(assembly, symbol), any -> new ArrayList<>())
                        .add(symbol.box()));
        return boxes.entrySet().stream()
                .map(entry -> new Spot(handles.get((String) entry.getKey().get(0)), Box.around(entry.getValue())))
                .toList();
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
        Map<Key, Spot> near = near(top, bottom);
        boolean changed = built.entrySet()
                .removeIf(one ->
                        !near.containsKey(one.getKey()) && !one.getValue().isFocused());
        for (Map.Entry<Key, Spot> one : near.entrySet()) {
            if (!built.containsKey(one.getKey())) {
                built.put(one.getKey(), spot(one.getValue()));
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

    private static boolean reaches(Box box, double top, double bottom) {
        return box.y() <= bottom && box.y() + box.height() >= top;
    }

    /** The places between two heights of the drawing. */
    private Map<Key, Spot> near(double top, double bottom) {
        Map<Key, Spot> near = new LinkedHashMap<>();
        List<Integer> rungs = new ArrayList<>(List.of(BESIDE_LADDER));
        rungs.addAll(drawing.rungsBetween(top, bottom));
        for (int rung : rungs) {
            List<Spot> there = spots.computeIfAbsent(rung, finder::apply);
            for (int i = 0; i < there.size(); i++) {
                if (reaches(there.get(i).box(), top, bottom)) {
                    near.put(new Key(rung, i), there.get(i));
                }
            }
        }
        return near;
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
