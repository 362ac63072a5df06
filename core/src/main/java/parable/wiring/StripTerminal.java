package parable.wiring;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Node;
import parable.circuit.Places;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Part;

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
        Map<String, Integer> placeOfTag = new HashMap<>();
        List<String> places = places(assembly, placeOfTag);
        List<List<Node>> ways = new ArrayList<>();
        places.forEach(place -> ways.add(new ArrayList<>()));
        for (Node node : assembly.nodes().all()) {
            addWays(node, ends(node, placeOfTag, places.size()), ways);
        }
        String tag = freeTag(assembly);
        List<StripTerminal> strip = new ArrayList<>();
        for (int place = 0; place < places.size(); place++) {
            boolean leads = !places.get(place).equals(Places.BACK_PLATE);
            for (Node node : leads ? ways.get(place) : List.<Node>of()) {
                Terminal terminal = new Terminal(tag, Integer.toString(strip.size() + 1));
                strip.add(new StripTerminal(terminal, node.number(), places.get(place)));
            }
        }
        return strip;
    }

    /** The places in the order in which the devices are listed; notes for each tag the position of its place among them. */
    private static List<String> places(Assembly assembly, Map<String, Integer> placeOfTag) {
        Map<String, Integer> places = new LinkedHashMap<>();
        for (Part part : assembly.parts()) {
            String place = PanelLayout.placeOf(part);
            places.putIfAbsent(place, places.size());
            placeOfTag.put(part.tag(), places.get(place));
        }
        return List.copyOf(places.keySet());
    }

    /** How many terminals of a node are in each place. */
    private static int[] ends(Node node, Map<String, Integer> placeOfTag, int places) {
        int[] ends = new int[places];
        for (Terminal terminal : node.terminals()) {
            ends[placeOfTag.get(terminal.tag())]++;
        }
        return ends;
    }

    /**
     * Adds a node for each terminal of the strip that leads it to a place: none if it is there alone or not at all. A protective conductor has one for each thing that it leads to, so that taking one
     * away leaves the others protected (IEC 60364-5-54, 543.2.8).
     */
    private static void addWays(Node node, int[] ends, List<List<Node>> ways) {
        long met = Arrays.stream(ends).filter(there -> there > 0).count();
        if (met > 1) {
            boolean each = Conductors.isEarth(node);
            for (int place = 0; place < ends.length; place++) {
                int terminals = each ? ends[place] : Math.min(1, ends[place]);
                ways.get(place).addAll(Collections.nCopies(terminals, node));
            }
        }
    }

    private static String freeTag(Assembly assembly) {
        int number = 1;
        while (assembly.part(TAG + number).isPresent()) {
            number++;
        }
        return TAG + number;
    }
}
