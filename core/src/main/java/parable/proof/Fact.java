package parable.proof;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.bench.Moment;
import parable.reach.CircuitMachine;
import parable.reach.Conduction;
import parable.timing.Replay;

/** Something that is true or not at every instant. */
sealed interface Fact {

    /** Whether it is true in a state. */
    boolean holds(CircuitMachine machine, long positions, Conduction conduction);

    /** Whether it is true on the bench. */
    boolean shows(Moment moment);

    /** As it is read back. */
    String words();

    /** The devices that it is about. */
    Stream<String> tags();

    /** A device stands so. */
    record Stands(String tag, DeviceState standing) implements Fact {
        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return standing.holds(machine, machine.index(tag), positions, conduction);
        }

        @Override
        public boolean shows(Moment moment) {
            return standing.shows(moment, tag);
        }

        @Override
        public String words() {
            return tag + " " + standing.words();
        }

        @Override
        public Stream<String> tags() {
            return Stream.of(tag);
        }
    }

    /** The supplies from outside are there. */
    record SupplyOn() implements Fact {
        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return machine.hasPower(positions);
        }

        @Override
        public boolean shows(Moment moment) {
            return Replay.hasPower(moment);
        }

        @Override
        public String words() {
            return "there is power";
        }

        @Override
        public Stream<String> tags() {
            return Stream.empty();
        }
    }

    /** All of them. */
    record All(List<Fact> facts) implements Fact {
        public All {
            facts = List.copyOf(facts);
        }

        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return facts.stream().allMatch(fact -> fact.holds(machine, positions, conduction));
        }

        @Override
        public boolean shows(Moment moment) {
            return facts.stream().allMatch(fact -> fact.shows(moment));
        }

        @Override
        public String words() {
            return facts.stream().map(Fact::words).collect(Collectors.joining(" and "));
        }

        @Override
        public Stream<String> tags() {
            return facts.stream().flatMap(Fact::tags);
        }
    }

    /** At least so many of them. */
    record Some(int least, List<Fact> facts) implements Fact {
        public Some {
            facts = List.copyOf(facts);
        }

        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return facts.stream()
                            .filter(fact -> fact.holds(machine, positions, conduction))
                            .count()
                    >= least;
        }

        @Override
        public boolean shows(Moment moment) {
            return facts.stream().filter(fact -> fact.shows(moment)).count() >= least;
        }

        @Override
        public String words() {
            return (least > 1 ? "two of these are so: " : "")
                    + facts.stream().map(Fact::words).collect(Collectors.joining(least > 1 ? ", " : " or "));
        }

        @Override
        public Stream<String> tags() {
            return facts.stream().flatMap(Fact::tags);
        }
    }

    /** The contrary of another. */
    record Not(Fact fact) implements Fact {
        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return !fact.holds(machine, positions, conduction);
        }

        @Override
        public boolean shows(Moment moment) {
            return !fact.shows(moment);
        }

        @Override
        public String words() {
            return "it is not so that " + fact.words();
        }

        @Override
        public Stream<String> tags() {
            return fact.tags();
        }
    }

    /** One of two is true and the other is not. */
    record Differ(Fact one, Fact other) implements Fact {
        @Override
        public boolean holds(CircuitMachine machine, long positions, Conduction conduction) {
            return one.holds(machine, positions, conduction) != other.holds(machine, positions, conduction);
        }

        @Override
        public boolean shows(Moment moment) {
            return one.shows(moment) != other.shows(moment);
        }

        @Override
        public String words() {
            return "only one of these is so: " + one.words() + ", " + other.words();
        }

        @Override
        public Stream<String> tags() {
            return Stream.concat(one.tags(), other.tags());
        }
    }
}
