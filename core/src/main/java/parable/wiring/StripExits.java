package parable.wiring;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Circuit;
import parable.circuit.Nodes;
import parable.circuit.Places;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.FittedRung;
import parable.parts.Part;

/** Which wires leave the back plate for which place, one exit for each terminal of the strip and in its order: place by place, and in each the nodes in the order of the sheet. */
public final class StripExits {

    /**
     * A wire that leaves for a place.
     *
     * @param node its position among the nodes of the sheet
     * @param place the position of the place, as {@link #placeOf(int)} has it
     */
    public record Exit(int node, int place) {}

    private final List<String> places;
    private final int[] placeOfPart;
    private final Assembly assembly;
    private final List<Exit> all;

    /** Whether a node has a terminal in a place, by the positions of place and node. */
    private final boolean[][] reached;

    private final BitSet earths = new BitSet();

    private StripExits(Assembly assembly) {
        this.assembly = assembly;
        placeOfPart = new int[assembly.parts().size()];
        places = places(assembly.parts(), placeOfPart);
        reached = new boolean[places.size()][assembly.nodes().all().size()];
        for (Circuit circuit : Circuit.values()) {
            List<FittedRung> rungs = assembly.rungs(circuit);
            for (int rung = 0; rung < rungs.size(); rung++) {
                note(circuit, rung, rungs.get(rung));
            }
        }
        List<List<Exit>> exits = new ArrayList<>();
        places.forEach(place -> exits.add(new ArrayList<>()));
        for (int node = 0; node < assembly.nodes().all().size(); node++) {
            addExits(node, exits);
        }
        int backPlate = places.indexOf(Places.BACK_PLATE);
        if (backPlate >= 0) {
            exits.get(backPlate).clear();
        }
        all = exits.stream().flatMap(List::stream).toList();
    }

    /** Those of a sheet. */
    public static StripExits of(Assembly assembly) {
        return new StripExits(assembly);
    }

    /** The places in the order in which the devices are listed; notes for each part the position of its place among them. */
    private static List<String> places(List<Part> parts, int[] placeOfPart) {
        Map<String, Integer> places = new LinkedHashMap<>();
        for (int part = 0; part < placeOfPart.length; part++) {
            String place = PanelLayout.placeOf(parts.get(part));
            places.putIfAbsent(place, places.size());
            placeOfPart[part] = places.get(place);
        }
        return List.copyOf(places.keySet());
    }

    /** Takes note of which places the nodes of a rung reach, and which of them are protective. */
    private void note(Circuit circuit, int rung, FittedRung fitted) {
        Nodes nodes = assembly.nodes();
        for (int gap = 0; gap + 1 < fitted.length(); gap++) {
            int node = nodes.between(circuit, rung, gap);
            note(node, fitted.partIndex(gap));
            note(node, fitted.partIndex(gap + 1));
            if (fitted.isEarthed() && Conductors.isEarth(nodes.all().get(node))) {
                earths.set(node);
            }
        }
    }

    private void note(int node, int part) {
        if (part >= 0) {
            reached[placeOfPart[part]][node] = true;
        }
    }

    /**
     * Adds an exit to each place that a node leads to: none if it is there alone or not at all. A protective conductor has one for each thing that it leads to, so that taking one
     * away leaves the others protected (IEC 60364-5-54, 543.2.8).
     */
    private void addExits(int node, List<List<Exit>> exits) {
        if (placesOf(node) > 1) {
            for (int place = 0; place < reached.length; place++) {
                int terminals = reached[place][node] ? terminals(node, place) : 0;
                for (int n = 0; n < terminals; n++) {
                    exits.get(place).add(new Exit(node, place));
                }
            }
        }
    }

    private int placesOf(int node) {
        int met = 0;
        for (boolean[] nodes : reached) {
            met += nodes[node] ? 1 : 0;
        }
        return met;
    }

    /** How many terminals of the strip lead a node to a place where it is. */
    private int terminals(int node, int place) {
        return !earths.get(node)
                ? 1
                : (int) assembly.nodes().all().get(node).terminals().stream()
                        .filter(end -> placeOf(end) == place)
                        .count();
    }

    private int placeOf(Terminal terminal) {
        return placeOfPart[assembly.indexOf(terminal.tag()).orElseThrow()];
    }

    /** One for each terminal of the strip, in its order; the list cannot be changed. */
    public List<Exit> all() {
        return all;
    }

    /** The places in which there are devices, in the order in which these are listed; the list cannot be changed. */
    public List<String> places() {
        return places;
    }

    /** The position in {@link #places()} of where a part is, by its position on the sheet. */
    public int placeOf(int part) {
        return placeOfPart[part];
    }

    /** Whether a node is of protective conductors, by its position among the nodes of the sheet. */
    public boolean isProtective(int node) {
        return earths.get(node);
    }
}
