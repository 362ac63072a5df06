package parable.program;

import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * A network of a ladder program, a rung: contacts and what they end on.
 *
 * @param comment on one line, empty if nothing is said
 */
public record ProgramNetwork(String comment, Logic logic, NetworkEnd end) {
    public ProgramNetwork {
        Objects.requireNonNull(logic, "logic");
        Objects.requireNonNull(end, "end");
        if (comment.contains("*)")
                || comment.contains("(*")
                || comment.contains("\n")
                || !comment.strip().equals(comment)) {
            throw new IllegalArgumentException("a comment stands on one line and holds no (* and *), found " + comment);
        }
    }

    /** Everything that it reads. */
    public Stream<Logic.Operand> operands() {
        return end instanceof NetworkEnd.Counter counter
                ? Stream.concat(logic.operands(), counter.reset().operands())
                : logic.operands();
    }

    /** This network with other names for its variables and blocks. */
    ProgramNetwork renamed(UnaryOperator<String> naming) {
        return new ProgramNetwork(comment, logic.renamed(naming), end.renamed(naming));
    }
}
