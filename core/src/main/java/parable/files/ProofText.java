package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import parable.proof.Claim;
import parable.proof.FaultRow;
import parable.proof.Proof;

/**
 * A proof as JSON: {@code {"sheet", "states", "millis", "complete", "claims": [{"id", "text", "verdict", "times", "story"}],
 * "faults": [{"fault", "broken", "hidden", "shown"}], "idle": [contacts]}}.
 */
public final class ProofText {

    private ProofText() {}

    /**
     * The proof of one sheet.
     *
     * @param faults what single faults do, empty if they were not tried
     * @param idle contacts of which nothing shows whether they conduct, empty if faults were not tried
     * @param millis how long it took, in ms
     */
    public static ObjectNode json(String sheet, Proof proof, List<FaultRow> faults, List<String> idle, long millis) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("sheet", sheet);
        root.put("states", proof.states());
        root.put("millis", millis);
        root.put("complete", proof.complete());
        proof.limits().forEach(root.putArray("limits")::add);
        ArrayNode claims = root.putArray("claims");
        proof.claims().forEach(claim -> add(claims.addObject(), claim));
        ArrayNode rows = root.putArray("faults");
        for (FaultRow row : faults) {
            ObjectNode node = rows.addObject();
            node.put("fault", row.fault().words());
            ArrayNode broken = node.putArray("broken");
            row.broken().forEach(broken::add);
            node.put("hidden", row.isHidden());
            node.put("shown", row.revealed().orElse(""));
        }
        idle.forEach(root.putArray("idle")::add);
        return root;
    }

    /** The proofs of several sheets as JSON, an object with a list of them. */
    public static String json(List<ObjectNode> sheets) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        sheets.forEach(root.putArray("sheets")::add);
        return root.toPrettyString();
    }

    private static void add(ObjectNode node, Claim claim) {
        node.put("id", claim.id());
        node.put("sort", claim.sort().words());
        node.put("text", claim.text());
        node.put("verdict", claim.verdict().word());
        claim.provided().forEach(node.putArray("if")::add);
        ArrayNode times = node.putArray("times");
        claim.times().forEach(times::add);
        ArrayNode story = node.putArray("story");
        claim.story().forEach(story::add);
    }
}
