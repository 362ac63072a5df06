package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import parable.proof.Equivalence;

/**
 * A comparison of two sheets as JSON: {@code {"one", "other", "verdict", "states", "millis", "inherent": [sentences], "difference": {"actions",
 * "one", "other", "storyOne", "storyOther"}}}, the last only where there is one.
 */
public final class EquivalenceText {

    private EquivalenceText() {}

    /**
     * The comparison.
     *
     * @param millis how long it took, in ms
     */
    public static String json(String one, String other, Equivalence found, long millis) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("one", one);
        root.put("other", other);
        root.put(
                "verdict",
                switch (found.verdict()) {
                    case EQUIVALENT -> "equivalent";
                    case DIFFERENT -> "different";
                    case UNFINISHED -> "unfinished";
                });
        root.put("states", found.states());
        root.put("millis", millis);
        found.inherent().forEach(root.putArray("inherent")::add);
        found.difference().ifPresent(difference -> {
            ObjectNode node = root.putObject("difference");
            difference.actions().forEach(node.putArray("actions")::add);
            node.put("one", difference.one());
            node.put("other", difference.other());
            ArrayNode storyOne = node.putArray("storyOne");
            difference.shownByOne().story().forEach(storyOne::add);
            ArrayNode storyOther = node.putArray("storyOther");
            difference.shownByOther().story().forEach(storyOther::add);
        });
        return root.toPrettyString();
    }
}
