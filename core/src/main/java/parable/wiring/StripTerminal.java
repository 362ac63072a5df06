package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Node;
import parable.circuit.Places;
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
        String tag = freeTag(assembly);
        List<StripTerminal> strip = new ArrayList<>();
        List<String> places =
                assembly.parts().stream().map(PanelLayout::placeOf).distinct().toList();
        for (String place : places) {
            for (Node node : place.equals(Places.BACK_PLATE)
                    ? List.<Node>of()
                    : assembly.nodes().all()) {
                int ways = leavesFor(assembly, node, place) ? ways(assembly, node, place) : 0;
                for (int way = 0; way < ways; way++) {
                    String number = Integer.toString(strip.size() + 1);
                    strip.add(new StripTerminal(new Terminal(tag, number), node.number(), place));
                }
            }
        }
        return strip;
    }

    /** A protective conductor has a terminal for each thing that it leads to, so that taking one away leaves the others protected (IEC 60364-5-54, 543.2.8). */
    private static int ways(Assembly assembly, Node node, String place) {
        return Conductors.isEarth(node)
                ? (int) node.terminals().stream()
                        .filter(terminal -> place(assembly, terminal).equals(place))
                        .count()
                : 1;
    }

    private static String freeTag(Assembly assembly) {
        int number = 1;
        while (assembly.part(TAG + number).isPresent()) {
            number++;
        }
        return TAG + number;
    }

    /** Whether a node has terminals in a place and elsewhere too. */
    private static boolean leavesFor(Assembly assembly, Node node, String place) {
        List<Boolean> there = node.terminals().stream()
                .map(terminal -> place(assembly, terminal).equals(place))
                .toList();
        return there.contains(true) && there.contains(false);
    }

    private static String place(Assembly assembly, Terminal terminal) {
        return PanelLayout.placeOf(assembly.part(terminal.tag()).orElseThrow());
    }
}
