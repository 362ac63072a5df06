package parable.wiring;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Places;
import parable.circuit.Practice;
import parable.parts.Assembly;

/** The cables of a sheet. What goes over the hinge to the door is a loom and no cable. */
public final class Cables {

    private static final List<Integer> IEC_CORES = List.of(2, 3, 4, 5, 7, 12, 18, 25, 34, 50);
    private static final List<Integer> NFPA_CORES = List.of(2, 3, 4, 5, 7, 9, 12, 15, 19, 25, 37);

    private Cables() {}

    /** The cables, in the order in which their first wires are made; control and power go in cables of their own. */
    public static List<Cable> of(Assembly assembly, Practice practice) {
        PanelLayout layout = PanelLayout.of(assembly);
        Map<List<String>, List<Wire>> bundles = new LinkedHashMap<>();
        for (Wire wire : WireList.of(assembly, practice).wires()) {
            String one = layout.place(wire.from().tag());
            String other = layout.place(wire.to().tag());
            boolean turned =
                    other.equals(Places.BACK_PLATE) || !one.equals(Places.BACK_PLATE) && one.compareTo(other) > 0;
            String from = turned ? other : one;
            String to = turned ? one : other;
            boolean hinge = from.equals(Places.BACK_PLATE) && to.equals(Places.DOOR);
            if (wire.crosses() && !hinge) {
                bundles.computeIfAbsent(List.of(from, to, wire.conductor().size()), bundle -> new ArrayList<>())
                        .add(wire);
            }
        }
        List<Cable> cables = new ArrayList<>();
        bundles.forEach((bundle, wires) -> cables.add(new Cable(
                "W" + (cables.size() + 1),
                bundle.get(0),
                bundle.get(1),
                bundle.get(2),
                cores(wires, practice),
                wires)));
        return cables;
    }

    /** The smallest usual number; control circuits want a spare, and more than any cable has stays as it is. */
    private static int cores(List<Wire> wires, Practice practice) {
        boolean control = wires.stream().anyMatch(wire -> wire.rung() > 0);
        int wanted = wires.size() + (control ? 1 : 0);
        return (practice == Practice.IEC ? IEC_CORES : NFPA_CORES)
                .stream().filter(cores -> cores >= wanted).findFirst().orElse(wanted);
    }
}
