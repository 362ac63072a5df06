package parable.plc;

import java.util.Objects;

/**
 * A network of a ladder program, a rung: contacts and what they end on.
 *
 * @param comment on one line, empty if nothing is said
 */
public record Network(String comment, Logic logic, NetworkEnd end) {
    public Network {
        Objects.requireNonNull(logic, "logic");
        Objects.requireNonNull(end, "end");
        if (comment.contains("*)")
                || comment.contains("(*")
                || comment.contains("\n")
                || !comment.strip().equals(comment)) {
            throw new IllegalArgumentException("a comment stands on one line and holds no (* and *), found " + comment);
        }
    }
}
