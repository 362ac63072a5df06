package parable.wiring;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * Where every terminal is, in metres within its place. Devices stand in their place in the order in which they are listed: on the back plate in
 * rows, what feeds on top, contactors under it, relays and controllers below; on doors and in field boxes four side by side. Terminals with odd
 * markings are at the upper edge of a device, the others at its lower edge (EN 50005, EN 50012).
 */
public final class PanelLayout {

    /** The place of what says none. */
    public static final String BACK_PLATE = "panel";

    private static final String DOOR = "door";
    private static final double ROW = 0.25;
    private static final double HEIGHT = 0.08;
    private static final double GAP = 0.01;
    private static final int ABREAST = 4;
    private static final double BOX_PITCH = 0.08;

    /** From the back plate over the hinge to the door, in m, with slack to open it. */
    private static final double TO_DOOR = 1.0;

    /** From the cabinet to a box on the machine, in m, where nobody has said otherwise. */
    private static final double TO_FIELD = 6;

    /** What every wire has more than the straight way, for bends and terminations, in m. */
    private static final double SLACK = 0.1;

    private record Spot(String place, double x, double y) {}

    private final Map<String, Spot> devices = new LinkedHashMap<>();
    private final Map<Terminal, Spot> terminals = new HashMap<>();

    private PanelLayout() {}

    /** The layout of an assembled sheet. */
    public static PanelLayout of(Assembly assembly) {
        PanelLayout layout = new PanelLayout();
        Map<String, Double> taken = new HashMap<>();
        Map<String, Integer> count = new HashMap<>();
        for (Part part : assembly.parts()) {
            String place =
                    part.device().place().isEmpty() ? BACK_PLATE : part.device().place();
            double x;
            double y;
            if (place.equals(BACK_PLATE)) {
                int row = row(part.family());
                x = taken.getOrDefault(place + row, 0.0);
                y = row * ROW;
                taken.put(place + row, x + width(part.family()) + GAP);
            } else {
                int number = count.merge(place, 1, Integer::sum) - 1;
                x = number % ABREAST * BOX_PITCH;
                y = number / ABREAST * BOX_PITCH;
            }
            layout.put(part, new Spot(place, x, y));
        }
        return layout;
    }

    private static int row(Family family) {
        return switch (family) {
            case SUPPLY, BREAKER, ISOLATOR, FUSE, CONVERTER -> 0;
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

    private static double width(Family family) {
        return switch (family) {
            case CONTROLLER -> 0.13;
            case SUPPLY, BREAKER, ISOLATOR, CONTACTOR, OVERLOAD_RELAY, CONVERTER, RESISTOR, MOTOR, DRUM_SWITCH -> 0.06;
            case FUSE, INTERLOCK -> 0.02;
            default -> 0.03;
        };
    }

    private void put(Part part, Spot at) {
        devices.put(part.tag(), at);
        List<String> markings = List.copyOf(part.terminals());
        double step = width(part.family()) / Math.max(1, (markings.size() + 1) / 2);
        double height = at.place().equals(BACK_PLATE) ? HEIGHT : HEIGHT / 4;
        int[] placed = new int[2];
        for (String marking : markings) {
            int edge = isUpper(marking) ? 0 : 1;
            terminals.put(
                    new Terminal(part.tag(), marking),
                    new Spot(at.place(), at.x() + step * placed[edge], at.y() + edge * height));
            placed[edge]++;
        }
    }

    private static boolean isUpper(String marking) {
        char last = marking.charAt(marking.length() - 1);
        return !Character.isDigit(last) || (last - '0') % 2 == 1;
    }

    /** The places, in the order in which devices name them. */
    public List<String> places() {
        return devices.values().stream().map(Spot::place).distinct().toList();
    }

    /** The place of a device; the back plate for one that the sheet has not. */
    public String place(String tag) {
        return devices.containsKey(tag) ? devices.get(tag).place() : BACK_PLATE;
    }

    /** The tags of the devices in a place, in the order in which they stand there. */
    public List<String> in(String place) {
        return devices.entrySet().stream()
                .filter(entry -> entry.getValue().place().equals(place))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Whether a wire between two terminals leaves a place. */
    public boolean crosses(Terminal one, Terminal other) {
        return !terminals.get(one).place().equals(terminals.get(other).place());
    }

    /** The length of a wire between two terminals, in m, along ducts that run straight and square. */
    public double metres(Terminal one, Terminal other) {
        Spot from = terminals.get(one);
        Spot to = terminals.get(other);
        if (from.place().equals(to.place())) {
            return SLACK + Math.abs(from.x() - to.x()) + Math.abs(from.y() - to.y());
        }
        return SLACK + from.x() + from.y() + to.x() + to.y() + run(from.place()) + run(to.place());
    }

    /** From the hinge side of the back plate to a place. */
    private static double run(String place) {
        return switch (place) {
            case BACK_PLATE -> 0;
            case DOOR -> TO_DOOR;
            default -> TO_FIELD;
        };
    }
}
