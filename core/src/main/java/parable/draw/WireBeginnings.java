package parable.draw;

import java.util.List;
import parable.draw.LaneOrder.Placed;

/** On which stretch of a diagram each wire is first, where its number is drawn. Looked through when it is first asked for. */
final class WireBeginnings {

    /** The wire before an item of a lane, counted lane by lane from 1; 0 for a wire that is nowhere in the diagram. */
    private int[] firstStretch = {};

    private int[] stretchesBefore = {};
    private final LanePlan plan;

    WireBeginnings(LanePlan plan) {
        this.plan = plan;
    }

    /** Whether the wire before an item of a lane is the first one drawn of its node. */
    boolean isAt(int node, int lane, int item) {
        if (firstStretch.length == 0) {
            lookThrough();
        }
        return firstStretch[node] == stretchesBefore[lane] + item;
    }

    private void lookThrough() {
        List<List<Placed>> lanes = plan.lanes();
        firstStretch = new int[plan.assembly.nodes().all().size()];
        stretchesBefore = new int[lanes.size() + 1];
        for (int lane = 0; lane < lanes.size(); lane++) {
            List<Placed> items = lanes.get(lane);
            stretchesBefore[lane + 1] = stretchesBefore[lane] + items.size();
            for (int i = 1; i < items.size(); i++) {
                int node = plan.nodeBetween(lane, items.get(i - 1), items.get(i));
                firstStretch[node] = firstStretch[node] == 0 ? stretchesBefore[lane] + i : firstStretch[node];
            }
        }
    }
}
