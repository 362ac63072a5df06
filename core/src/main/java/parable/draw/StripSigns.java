package parable.draw;

import java.util.Arrays;
import java.util.List;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;
import parable.wiring.StripWays;

/**
 * Where the terminals of the strip are drawn: each once in a diagram, beside the first device whose wire it leads out to another place. Protective conductors have none on the
 * drawing, for each thing has its own.
 */
final class StripSigns {

    private static final int NONE = -1;

    /** For each part where the terminals are that lead to its place, by the positions of their nodes; no parts without a strip. */
    private final int[][] positionsTo;

    private StripSigns(int[][] positionsTo) {
        this.positionsTo = positionsTo;
    }

    /** Those of a sheet; none if it is wired without a strip. */
    static StripSigns of(Assembly assembly) {
        return assembly.sheet().fieldwork().method() == WiringMethod.TERMINAL_STRIP
                ? ofStrip(assembly)
                : new StripSigns(new int[0][]);
    }

    private static StripSigns ofStrip(Assembly assembly) {
        StripWays ways = StripWays.of(assembly);
        int[][] positions = positions(ways, assembly.nodes().all().size());
        int[][] positionsTo = new int[assembly.parts().size()][];
        Arrays.setAll(positionsTo, part -> positions[ways.placeOf(part)]);
        return new StripSigns(positionsTo);
    }

    /** The position in the strip of the terminal that leads a node to a place, by the positions of place and node. */
    private static int[][] positions(StripWays ways, int nodes) {
        int[][] positions = new int[ways.places().size()][nodes];
        Arrays.stream(positions).forEach(ofPlace -> Arrays.fill(ofPlace, NONE));
        List<StripWays.Way> all = ways.all();
        for (int i = 0; i < all.size(); i++) {
            StripWays.Way way = all.get(i);
            if (!ways.isProtective(way.node())) {
                positions[way.place()][way.node()] = i;
            }
        }
        return positions;
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
