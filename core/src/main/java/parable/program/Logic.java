package parable.program;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** The contacts of a network of a ladder program: what must be so for its end to be reached. */
public sealed interface Logic {

    /** The operands in the order in which they are written. */
    Stream<Operand> operands();

    /** The same with other names for its variables and blocks. */
    Logic renamed(UnaryOperator<String> naming);

    /**
     * A bit that can be read: a variable, or the output of a block.
     *
     * @param variable the name of the variable or block
     * @param output whether the output {@code Q} of a block is meant
     */
    record Operand(String variable, boolean output) {

        /** As it is written: {@code K1}, {@code T1.Q}. */
        public String text() {
            return output ? variable + ".Q" : variable;
        }
    }

    /**
     * A contact instruction.
     *
     * @param closed true for the normally closed one, which lets pass while the bit is 0; the normally open one lets pass while it is 1
     */
    record LadderContact(Operand operand, boolean closed) implements Logic {
        @Override
        public Stream<Operand> operands() {
            return Stream.of(operand);
        }

        @Override
        public Logic renamed(UnaryOperator<String> naming) {
            return new LadderContact(new Operand(naming.apply(operand.variable()), operand.output()), closed);
        }
    }

    /**
     * A comparison with a timer's elapsed time.
     *
     * @param timer the name of the timer
     * @param atLeast true for at least, false for less than
     * @param millis in ms, not negative
     */
    record Elapsed(String timer, boolean atLeast, long millis) implements Logic {
        @Override
        public Stream<Operand> operands() {
            return Stream.of(new Operand(timer, true));
        }

        @Override
        public Logic renamed(UnaryOperator<String> naming) {
            return new Elapsed(naming.apply(timer), atLeast, millis);
        }
    }

    /** All of them, one after the other; two or more. */
    record Series(List<Logic> parts) implements Logic {
        public Series {
            parts = List.copyOf(parts);
            if (parts.size() < 2) {
                throw new IllegalArgumentException("a series needs two parts, found " + parts.size());
            }
        }

        @Override
        public Stream<Operand> operands() {
            return parts.stream().flatMap(Logic::operands);
        }

        @Override
        public Logic renamed(UnaryOperator<String> naming) {
            return new Series(parts.stream().map(part -> part.renamed(naming)).toList());
        }
    }

    /** One of them at least, side by side; two or more. */
    record Parallel(List<Logic> branches) implements Logic {
        public Parallel {
            branches = List.copyOf(branches);
            if (branches.size() < 2) {
                throw new IllegalArgumentException("parallel branches are two at least, found " + branches.size());
            }
        }

        @Override
        public Stream<Operand> operands() {
            return branches.stream().flatMap(Logic::operands);
        }

        @Override
        public Logic renamed(UnaryOperator<String> naming) {
            return new Parallel(
                    branches.stream().map(part -> part.renamed(naming)).toList());
        }
    }

    /**
     * The ways through, each with its contacts and comparisons in order.
     *
     * @param most so many at the most; what is more is left out
     */
    default List<List<Logic>> ways(int most) {
        if (this instanceof Parallel parallel) {
            return parallel.branches().stream()
                    .flatMap(branch -> branch.ways(most).stream())
                    .limit(most)
                    .toList();
        }
        List<List<Logic>> ways = List.of(List.of());
        if (!(this instanceof Series series)) {
            return List.of(List.of(this));
        }
        for (Logic part : series.parts()) {
            List<List<Logic>> further = part.ways(most);
            ways = ways.stream()
                    .flatMap(way -> further.stream().map(next -> Stream.concat(way.stream(), next.stream())
                            .toList()))
                    .limit(most)
                    .toList();
        }
        return ways;
    }

    /** These in series; a series among them is opened, one alone is itself. */
    static Logic series(List<Logic> parts) {
        List<Logic> flat = parts.stream()
                .flatMap(part -> part instanceof Series series ? series.parts().stream() : Stream.of(part))
                .toList();
        return flat.size() == 1 ? flat.get(0) : new Series(flat);
    }

    /** These in parallel; parallel ones among them are opened, one alone is itself. */
    static Logic parallel(List<Logic> branches) {
        List<Logic> flat = branches.stream()
                .flatMap(branch ->
                        branch instanceof Parallel parallel ? parallel.branches().stream() : Stream.of(branch))
                .toList();
        return flat.size() == 1 ? flat.get(0) : new Parallel(flat);
    }
}
