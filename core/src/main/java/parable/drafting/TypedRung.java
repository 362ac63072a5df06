package parable.drafting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import parable.circuit.EditException;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.circuit.Structure;

/**
 * A rung as it is typed, in few strokes, for example {@code L /F2 /S0 @5 S1 @ /K2 (K1) N}:
 *
 * <ul>
 *   <li>{@code S1} is the lowest free contact of S1 that is open at rest, {@code /S0} one that is closed at rest,
 *   <li>{@code (K1)} is the coil of K1, or the lamp of a lamp,
 *   <li>{@code @5} is the point with wire number 5, {@code @} alone a new one; between two devices one is always made,
 *   <li>{@code K3:timer} puts K3 on the sheet as a timer; a tag whose letters say what it is needs no kind,
 *   <li>everything of the full notation is understood as it is.
 * </ul>
 *
 * @param rung the rung
 * @param sheet the sheet with the devices and contact blocks that the rung needs, the rung itself not on it
 */
public record TypedRung(Rung rung, Sheet sheet) {

    private static final Pattern DEVICE = Pattern.compile("(/?)(\\(?)([A-Za-z0-9.]+?)(?::([a-z-]+))?(\\)?)");

    /**
     * Reads what was typed.
     *
     * @param sheet the sheet it is typed for, without the rung that it replaces
     * @param voltage the voltage of coils and lamps that are put on the sheet
     * @throws EditException if it says no rung; the message says where
     */
    public static TypedRung read(String line, Sheet sheet, String voltage) throws EditException {
        return new Reading(sheet, voltage).read(line);
    }

    /** The reading of one line. */
    private static final class Reading {

        private final Fitting fitting;
        private final Set<String> rails;
        private final Sheet before;
        private final List<RungItem> items = new ArrayList<>();
        private final List<String> given = new ArrayList<>();

        Reading(Sheet sheet, String voltage) {
            this.before = sheet;
            this.fitting = new Fitting(sheet, voltage);
            this.rails = sheet.rails().stream().map(Rail::name).collect(Collectors.toSet());
        }

        TypedRung read(String line) throws EditException {
            int semicolon = line.indexOf(';');
            String circuit = semicolon < 0 ? line : line.substring(0, semicolon);
            String remark = semicolon < 0 ? "" : line.substring(semicolon + 1).strip();
            for (String word : circuit.strip().split("\\s+")) {
                if (!word.isEmpty()) {
                    add(item(word));
                }
            }
            try {
                return new TypedRung(new Rung(items, remark), fitting.sheet());
            } catch (IllegalArgumentException notARung) {
                throw new EditException(
                        "the rung", notARung.getMessage(), "a rail or @point at its beginning and its end");
            }
        }

        private void add(RungItem item) {
            boolean gap = item instanceof RungItem.Passage
                    && !items.isEmpty()
                    && items.get(items.size() - 1) instanceof RungItem.Passage;
            if (gap) {
                items.add(freshPoint());
            }
            items.add(item);
        }

        private RungItem item(String word) throws EditException {
            if (word.equals("@")) {
                return freshPoint();
            }
            if (word.contains("[") || word.startsWith("@") || rails.contains(word)) {
                return full(word);
            }
            Matcher device = DEVICE.matcher(word);
            if (!device.matches()
                    || device.group(2).isEmpty() != device.group(5).isEmpty()) {
                throw new EditException(
                        "the rung", "'" + word + "'", "a rail, @point, S1, /S0, (K1) or a device with its terminals");
            }
            String tag = device.group(3);
            fitting.need(tag, Optional.ofNullable(device.group(4)));
            return device.group(2).isEmpty()
                    ? fitting.contact(tag, !device.group(1).isEmpty())
                    : fitting.load(tag);
        }

        private RungItem full(String word) throws EditException {
            try {
                // A single word is no rung; between two points it is.
                List<RungItem> read =
                        new RungNotation(rails).read("@1 " + word + " @1").items();
                RungItem item = read.get(1);
                if (item instanceof RungItem.Passage passage) {
                    fitting.need(passage.tag(), Optional.empty());
                    fitting.fit(passage);
                    fitting.use(passage);
                }
                return item;
            } catch (RungSyntaxException unreadable) {
                return landing(word);
            }
        }

        private RungItem landing(String word) throws EditException {
            try {
                return new RungNotation(rails).read(word + " @1").items().get(0);
            } catch (RungSyntaxException unreadable) {
                throw new EditException("the rung", "'" + word + "'", "a rail, @point, S1, /S0, (K1) or TAG[from-to]");
            }
        }

        private RungItem.NamedPoint freshPoint() {
            Sheet counted = before;
            if (!items.isEmpty() || !given.isEmpty()) {
                counted = before.withRails(withGiven());
            }
            String number = Structure.freeNumber(counted);
            given.add(number);
            return new RungItem.NamedPoint(number, false);
        }

        /** The rails, and as if they were rails the numbers that this rung has used already. */
        private List<Rail> withGiven() {
            List<Rail> all = new ArrayList<>(before.rails());
            given.forEach(number -> all.add(new Rail("given " + number, number)));
            items.stream()
                    .filter(item -> item instanceof RungItem.NamedPoint point && !point.rail())
                    .map(item -> ((RungItem.NamedPoint) item).name())
                    .forEach(number -> all.add(new Rail("used " + number, number)));
            return all;
        }
    }
}
