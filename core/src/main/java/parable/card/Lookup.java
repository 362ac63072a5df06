package parable.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Node;
import parable.circuit.Nodes;
import parable.circuit.Rung;
import parable.circuit.Sheet;

/** Finds devices, wires and rungs by what is typed. */
public final class Lookup {

    private Lookup() {}

    /**
     * What of a sheet has what is typed: devices by tag, then those by a word of their name, a wire by its number, rungs by a word of their remark. Nothing if nothing is
     * typed.
     */
    public static List<Pick> of(Sheet sheet, String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        List<Pick> found = new ArrayList<>();
        if (wanted.isEmpty()) {
            return found;
        }
        add(found, sheet, device -> device.tag().toLowerCase(Locale.ROOT).equals(wanted));
        add(found, sheet, device -> device.tag().toLowerCase(Locale.ROOT).startsWith(wanted));
        add(found, sheet, device -> hasWord(device.label(), wanted));
        Nodes.of(sheet).all().stream()
                .map(Node::number)
                .filter(number -> number.equalsIgnoreCase(wanted))
                .forEach(number -> found.add(new Pick.OfWire(number)));
        List<Rung> rungs = sheet.control();
        for (int rung = 0; rung < rungs.size(); rung++) {
            if (hasWord(rungs.get(rung).remark(), wanted)) {
                found.add(new Pick.OfRung(Circuit.CONTROL, rung));
            }
        }
        return found;
    }

    private static void add(List<Pick> found, Sheet sheet, Predicate<Device> wanted) {
        sheet.devices().stream()
                .filter(wanted)
                .map(device -> new Pick.OfDevice(device.tag()))
                .filter(pick -> !found.contains(pick))
                .forEach(found::add);
    }

    private static boolean hasWord(String words, String wanted) {
        return (" " + words.toLowerCase(Locale.ROOT)).contains(" " + wanted);
    }
}
