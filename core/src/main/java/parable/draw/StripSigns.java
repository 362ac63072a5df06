package parable.draw;

import java.util.Arrays;
import java.util.List;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.wiring.StripExits;

/**
 * Where the terminals of the strip are drawn: each once in a diagram, beside the first device whose wire it leads out to another place. Protective conductors have none on the
 * drawing, for each thing has its own.
 */
final class StripSigns {

    /** None at all. */
    static final StripSigns NONE = new StripSigns(new int[0][], 0);

    private static final int NOWHERE = -1;

    /** For each part where the terminals are that lead to its place, by the positions of their nodes; no parts without a strip. */
    private final int[][] positionsTo;

    private final int count;

    private StripSigns(int[][] positionsTo, int count) {
        this.positionsTo = positionsTo;
        this.count = count;
    }

    /** Those of a sheet; none if it is wired without a strip. */
    static StripSigns of(Assembly assembly) {
        return assembly.sheet().fieldwork().method() == WiringMethod.TERMINAL_STRIP ? ofStrip(assembly) : NONE;
    }

    private static StripSigns ofStrip(Assembly assembly) {
        StripExits exits = StripExits.of(assembly);
        int[][] positions = positions(exits, assembly.nodes().all().size());
        int[][] positionsTo = new int[assembly.parts().size()][];
        Arrays.setAll(positionsTo, part -> positions[exits.placeOf(part)]);
        return new StripSigns(positionsTo, exits.all().size());
    }

    /** The position in the strip of the terminal that leads a node to a place, by the positions of place and node. */
    private static int[][] positions(StripExits exits, int nodes) {
        int[][] positions = new int[exits.places().size()][nodes];
        Arrays.stream(positions).forEach(ofPlace -> Arrays.fill(ofPlace, NOWHERE));
        List<StripExits.Exit> all = exits.all();
        for (int i = 0; i < all.size(); i++) {
            StripExits.Exit exit = all.get(i);
            if (!exits.isProtective(exit.node())) {
                positions[exit.place()][exit.node()] = i;
            }
        }
        return positions;
    }

    /** How many terminals the strip has. */
    int count() {
        return count;
    }

    /** Whether there are none. */
    boolean isEmpty() {
        return positionsTo.length == 0;
    }

    /**
     * The position in the strip, 0 for the first, of the terminal that leads a node to where a part is; -1 if none does.
     *
     * @param part its position on the sheet
     * @param node its position among the nodes of the sheet
     */
    int leading(int part, int node) {
        return positionsTo[part][node];
    }
}
