package parable.draw;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Rung;
import parable.circuit.RungItem;

/** How often the rungs of a diagram name each point that is no rail. */
final class PointUses {

    private final LanePlan plan;

    /** By the nodes that the points are on. */
    private final int[] ofNode;

    /** Of the points on nodes with several names, which are few. */
    private final Map<String, Integer> ofName = new HashMap<>();

    PointUses(LanePlan plan) {
        this.plan = plan;
        ofNode = new int[plan.assembly.nodes().all().size()];
        for (int lane = 0; lane < plan.rungs.size(); lane++) {
            count(lane, plan.rungs.get(lane));
        }
    }

    private void count(int lane, Rung rung) {
        List<RungItem> items = rung.items();
        for (int index = 0; index < items.size(); index++) {
            if (items.get(index) instanceof RungItem.NamedPoint point && !point.rail()) {
                int node = plan.nodeAlong(lane, index);
                ofNode[node]++;
                if (hasSeveralNames(node)) {
                    ofName.merge(point.name(), 1, Integer::sum);
                }
            }
        }
    }

    private boolean hasSeveralNames(int node) {
        return plan.assembly.nodes().all().get(node).names().size() > 1;
    }

    /** Whether a point, which is on this node, is named more than once. */
    boolean isNamedAgain(RungItem.NamedPoint point, int node) {
        return (hasSeveralNames(node) ? ofName.getOrDefault(point.name(), 0) : ofNode[node]) > 1;
    }
}
