package parable.wiring;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Places;
import parable.circuit.Position;
import parable.circuit.Terminal;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * Where every device and terminal is, in its place. A device is where somebody has put it, the others in the order in which they are listed: on
 * the back plate in rows, what feeds on top, contactors under it, relays and controllers below, the terminal strip at the bottom; on doors and in
 * field boxes four side by side. Terminals with odd markings are at the upper edge of a device, the others at its lower edge (EN 50005, EN 50012); those of
 * a supply are all at its lower edge.
 */
public final class PanelLayout {

    private static final double ROW = 112;
    private static final double HEIGHT = 60;
    private static final double STRIP_HEIGHT = 44;
    private static final double GAP = 14;
    private static final int ABREAST = 4;
    private static final double OPERATOR = 64;
    private static final double OPERATOR_PITCH = 84;
    private static final double SCREW = 13;

    /** What every wire has more than the straight way, for bends and terminations, in m. */
    private static final double SLACK = 0.1;

    private static final double MILLIMETRES = 1000;

    private record Spot(String place, double x, double y) {}

    private final Map<String, Footprint> devices = new LinkedHashMap<>();
    private final Map<Terminal, Spot> terminals = new LinkedHashMap<>();
    private final List<StripTerminal> strip;

    private PanelLayout(List<StripTerminal> strip) {
        this.strip = strip;
    }

    /** The layout of an assembled sheet, wired by the method that it says. */
    public static PanelLayout of(Assembly assembly) {
        WiringMethod method = assembly.sheet().fieldwork().method();
        PanelLayout layout =
                new PanelLayout(method == WiringMethod.TERMINAL_STRIP ? StripTerminal.of(assembly) : List.of());
        Map<String, Double> taken = new HashMap<>();
        Map<String, Integer> count = new HashMap<>();
        SortedSet<Integer> rows = assembly.parts().stream()
                .filter(part -> placeOf(part).equals(Places.BACK_PLATE))
                .map(part -> row(part.family()))
                .collect(Collectors.toCollection(TreeSet::new));
        for (Part part : assembly.parts()) {
            String place = placeOf(part);
            double x;
            double y;
            if (place.equals(Places.BACK_PLATE)) {
                int row = row(part.family());
                x = taken.getOrDefault(place + row, 0.0);
                y = rows.headSet(row).size() * ROW;
                taken.put(place + row, x + width(part) + GAP);
            } else {
                int number = count.merge(place, 1, Integer::sum) - 1;
                x = number % ABREAST * OPERATOR_PITCH;
                y = number / ABREAST * OPERATOR_PITCH;
            }
            Optional<Position> at = part.device().at();
            layout.put(
                    part,
                    place,
                    at.map(one -> (double) one.x()).orElse(x),
                    at.map(one -> (double) one.y()).orElse(y));
        }
        layout.putStrip();
        return layout;
    }

    /** The place of a part: the back plate if it says none. */
    public static String placeOf(Part part) {
        return part.device().place().isEmpty()
                ? Places.BACK_PLATE
                : part.device().place();
    }

    private static int row(Family family) {
        return switch (family) {
            case SUPPLY, BREAKER, ISOLATOR, FUSE, CONVERTER, METALWORK -> 0;
            case CONTACTOR, OVERLOAD_RELAY, INTERLOCK, RESISTOR, MOTOR, DRUM_SWITCH -> 1;
            case CONTROL_RELAY,
                    TIMER,
                    CONTROLLER,
                    PUSH_BUTTON,
                    SELECTOR,
                    EMERGENCY_STOP,
                    MACHINE_SWITCH,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID -> 2;
        };
    }

    /** As wide as its kind, and wide enough for its screws side by side. */
    private static double width(Part part) {
        double screws = Math.max(edge(part, true).size(), edge(part, false).size()) * SCREW;
        double body =
                switch (part.family()) {
                    case SUPPLY,
                            BREAKER,
                            ISOLATOR,
                            CONTACTOR,
                            OVERLOAD_RELAY,
                            CONVERTER,
                            RESISTOR,
                            MOTOR,
                            DRUM_SWITCH -> 54;
                    case INTERLOCK -> 20;
                    default -> placeOf(part).equals(Places.BACK_PLATE) ? 36 : OPERATOR;
                };
        return Math.max(body, screws);
    }

    /** The markings of the screws at the upper or the lower edge, from left to right. */
    private static List<String> edge(Part part, boolean upper) {
        return part.terminals().stream()
                .filter(marking -> (part.family() != Family.SUPPLY && isUpper(marking)) == upper)
                .toList();
    }

    private static boolean isUpper(String marking) {
        char last = marking.charAt(marking.length() - 1);
        return !Character.isDigit(last) || (last - '0') % 2 == 1;
    }

    private void put(Part part, String place, double x, double y) {
        double height = place.equals(Places.BACK_PLATE) ? HEIGHT : OPERATOR;
        Footprint room = new Footprint(place, x, y, width(part), height);
        devices.put(part.tag(), room);
        for (boolean upper : new boolean[] {true, false}) {
            List<String> markings = edge(part, upper);
            double step = room.width() / Math.max(1, markings.size());
            for (int i = 0; i < markings.size(); i++) {
                terminals.put(
                        new Terminal(part.tag(), markings.get(i)),
                        new Spot(place, x + step * (i + 0.5), upper ? y : room.bottom()));
            }
        }
    }

    private void putStrip() {
        if (strip.isEmpty()) {
            return;
        }
        double y = devices.values().stream()
                .filter(one -> one.place().equals(Places.BACK_PLATE))
                .mapToDouble(one -> one.bottom() + ROW - HEIGHT)
                .max()
                .orElse(0);
        double width = SCREW * strip.size();
        devices.put(strip.get(0).terminal().tag(), new Footprint(Places.BACK_PLATE, 0, y, width, STRIP_HEIGHT));
        for (int i = 0; i < strip.size(); i++) {
            terminals.put(
                    strip.get(i).terminal(), new Spot(Places.BACK_PLATE, SCREW * (i + 0.5), y + STRIP_HEIGHT / 2));
        }
    }

    /** The terminal strip in its order; empty if the sheet is wired point to point. */
    public List<StripTerminal> strip() {
        return List.copyOf(strip);
    }

    /** The places, in the order in which devices name them. */
    public List<String> places() {
        return devices.values().stream().map(Footprint::place).distinct().toList();
    }

    /** The place of a device; the back plate for one that the sheet has not. */
    public String place(String tag) {
        return devices.containsKey(tag) ? devices.get(tag).place() : Places.BACK_PLATE;
    }

    /** The room of each device in a place, by its tag, in the order of the sheet; the terminal strip last. */
    public Map<String, Footprint> in(String place) {
        Map<String, Footprint> there = new LinkedHashMap<>();
        devices.forEach((tag, room) -> {
            if (room.place().equals(place)) {
                there.put(tag, room);
            }
        });
        return there;
    }

    /**
     * Where a device would stand if it were moved; never beyond the left or upper edge of its place.
     *
     * @param right by so many mm
     * @param down by so many mm
     * @throws java.util.NoSuchElementException if there is no such device
     */
    public Position moved(String tag, double right, double down) {
        Footprint room = Optional.ofNullable(devices.get(tag)).orElseThrow();
        return new Position(
                (int) Math.round(Math.max(0, room.x() + right)), (int) Math.round(Math.max(0, room.y() + down)));
    }

    /** The terminals of a device, in the order of its markings; of the strip, in its order. */
    public List<Terminal> terminalsOf(String tag) {
        return terminals.keySet().stream()
                .filter(terminal -> terminal.tag().equals(tag))
                .toList();
    }

    /**
     * How far a terminal is from the left edge of its place, seen from the front, in mm.
     *
     * @throws java.util.NoSuchElementException if there is no such terminal
     */
    public double x(Terminal terminal) {
        return spot(terminal).x();
    }

    /**
     * How far a terminal is from the upper edge of its place, in mm.
     *
     * @throws java.util.NoSuchElementException if there is no such terminal
     */
    public double y(Terminal terminal) {
        return spot(terminal).y();
    }

    private Spot spot(Terminal terminal) {
        return Optional.ofNullable(terminals.get(terminal)).orElseThrow();
    }

    /** Whether a wire between two terminals leaves a place. */
    public boolean crosses(Terminal one, Terminal other) {
        return !spot(one).place().equals(spot(other).place());
    }

    /** The way of a wire between two terminals, as it is said: {@code in the panel}, {@code over the hinge}, {@code cable to yard}. */
    public String route(Terminal one, Terminal other) {
        List<String> far = new ArrayList<>(
                Stream.of(one, other).map(end -> spot(end).place()).distinct().toList());
        if (far.size() == 1) {
            return "in the " + far.get(0);
        }
        far.remove(Places.BACK_PLATE);
        if (far.equals(List.of(Places.DOOR))) {
            return "over the hinge";
        }
        return far.size() == 1 ? "cable to " + far.get(0) : "cable " + far.get(0) + " to " + far.get(1);
    }

    /** The length of a wire between two terminals, in m, along ducts that run straight and square. */
    public double metres(Terminal one, Terminal other) {
        Spot from = spot(one);
        Spot to = spot(other);
        if (from.place().equals(to.place())) {
            return SLACK + (Math.abs(from.x() - to.x()) + Math.abs(from.y() - to.y())) / MILLIMETRES;
        }
        return SLACK
                + (from.x() + from.y() + to.x() + to.y()) / MILLIMETRES
                + Places.metresTo(from.place())
                + Places.metresTo(to.place());
    }
}
