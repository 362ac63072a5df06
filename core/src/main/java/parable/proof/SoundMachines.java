package parable.proof;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import parable.reach.CircuitMachine;
import parable.reach.Conduction;
import parable.reach.Explorer;

/**
 * Machines that were explored whole and in which everything held at any speed. One that moves in the same way and makes the same of every
 * state of such a machine reaches the same states, so that everything holds in it too. Compared is what the claims speak of: what moves, which
 * motors are driven, what is shorted. May be used from several threads.
 */
final class SoundMachines {

    private final boolean everything;
    private final List<Known> known = new CopyOnWriteArrayList<>();

    /** A machine, and of its states one for each way in which its contacts may stand, with what that makes of the circuit. */
    private record Known(CircuitMachine machine, long[] states, List<Conduction> made) {

        Known(CircuitMachine machine, long[] states) {
            this(
                    machine,
                    states,
                    LongStream.of(states).mapToObj(machine::conduction).toList());
        }

        boolean includes(CircuitMachine other, boolean everything) {
            return machine.movesLike(other)
                    && IntStream.range(0, states.length)
                            .allMatch(i -> isLike(made.get(i), other.conduction(states[i]), everything));
        }
    }

    private static boolean isLike(Conduction one, Conduction other, boolean everything) {
        return everything ? one.isLike(other) : one.movesLike(other);
    }

    /**
     * None yet.
     *
     * @param everything whether all that the circuit does matters, as where somebody claims something of it
     */
    SoundMachines(boolean everything) {
        this.everything = everything;
    }

    /** Adds a machine that was explored, and in which everything held. */
    void add(CircuitMachine machine, Explorer explorer) {
        known.add(new Known(machine, explorer.oneOfEachWay().toArray()));
    }

    /** Whether a machine is like one of them. */
    boolean includes(CircuitMachine machine) {
        return known.stream().anyMatch(one -> one.includes(machine, everything));
    }
}
