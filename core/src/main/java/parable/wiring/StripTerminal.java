package parable.wiring;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
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
        Map<String, String> placeOfTag = new LinkedHashMap<>();
        assembly.parts().forEach(part -> placeOfTag.put(part.tag(), PanelLayout.placeOf(part)));
        String tag = freeTag(assembly);
        List<Node> nodes = assembly.nodes().all();
        List<Map<String, Integer>> ends =
                nodes.stream().map(node -> ends(node, placeOfTag)).toList();
        List<StripTerminal> strip = new ArrayList<>();
        for (String place : new LinkedHashSet<>(placeOfTag.values())) {
            for (int i = 0; i < nodes.size() && !place.equals(Places.BACK_PLATE); i++) {
                for (int way = 0; way < ways(nodes.get(i), ends.get(i), place); way++) {
                    String number = Integer.toString(strip.size() + 1);
                    strip.add(new StripTerminal(
                            new Terminal(tag, number), nodes.get(i).number(), place));
                }
            }
        }
        return strip;
    }

    /** How many terminals of a node are in each place. */
    private static Map<String, Integer> ends(Node node, Map<String, String> placeOfTag) {
        Map<String, Integer> ends = new HashMap<>();
        node.terminals().forEach(terminal -> ends.merge(placeOfTag.get(terminal.tag()), 1, Integer::sum));
        return ends;
    }

    /**
     * How many terminals of the strip lead a node to a place: none if it is there alone or not at all. A protective conductor has one for each thing that it leads to, so that taking one
     * away leaves the others protected (IEC 60364-5-54, 543.2.8).
     */
    private static int ways(Node node, Map<String, Integer> ends, String place) {
        int there = ends.size() > 1 ? ends.getOrDefault(place, 0) : 0;
        return Conductors.isEarth(node) ? there : Math.min(1, there);
    }

    private static String freeTag(Assembly assembly) {
        int number = 1;
        while (assembly.part(TAG + number).isPresent()) {
            number++;
        }
        return TAG + number;
    }
}
