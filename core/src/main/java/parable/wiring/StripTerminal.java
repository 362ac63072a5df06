package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/**
 * A terminal of the strip on the back plate: one for each wire number and place that it leaves for, of a protective conductor one for each thing there. Wires from the back plate come in at its upper
 * side, those of the other place go off at its lower side; at most two on either.
 *
 * @param terminal its tag and number, for example {@code X1:3}
 * @param number the wire number
 * @param place where its lower side leads
 */
public record StripTerminal(Terminal terminal, String number, String place) {

    private static final String TAG = "X";

    /** The strip of a sheet, in order: place by place, and in each the nodes in the order of the sheet. */
    public static List<StripTerminal> of(Assembly assembly) {
        StripExits exits = StripExits.of(assembly);
        String tag = freeTag(assembly);
        List<StripTerminal> strip = new ArrayList<>();
        for (StripExits.Exit exit : exits.all()) {
            Terminal terminal = new Terminal(tag, Integer.toString(strip.size() + 1));
            String number = assembly.nodes().all().get(exit.node()).number();
            strip.add(new StripTerminal(terminal, number, exits.places().get(exit.place())));
        }
        return strip;
    }

    private static String freeTag(Assembly assembly) {
        int number = 1;
        while (assembly.part(TAG + number).isPresent()) {
            number++;
        }
        return TAG + number;
    }
}
