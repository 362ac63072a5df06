package parable.parts;

import java.util.List;
import java.util.Map;

/** What moves a device between its positions. */
public sealed interface Drive {

    /** Where each thing that can be done to the device takes it; empty for what only moves by itself. */
    Map<Verb, Integer> verbs();

    /** Nothing moves: a lamp, a motor's terminals, a terminal block. */
    record None() implements Drive {
        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * A hand, or what the user plays the part of: an operator, a breaker's toggle, the world that takes a supply away.
     *
     * @param verbs the position each verb leads to
     */
    record ByHand(Map<Verb, Integer> verbs) implements Drive {
        public ByHand {
            verbs = Map.copyOf(verbs);
        }
    }

    /**
     * A hand that turns it from one named position to another.
     *
     * @param positions their names, that of position 0, the one it is drawn in, first
     * @param arranged their names as they stand around the knob, clockwise
     * @param springs for each position that it does not stay in the one it springs back to when let go
     */
    record ByTurning(List<String> positions, List<String> arranged, Map<String, String> springs) implements Drive {
        public ByTurning {
            positions = List.copyOf(positions);
            arranged = List.copyOf(arranged);
            springs = Map.copyOf(springs);
        }

        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * A motor that turns: position 1 while its speed is above a threshold.
     *
     * @param motor the tag of the motor
     * @param threshold the share of synchronous speed
     */
    record BySpeed(String motor, double threshold) implements Drive {
        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * A mechanical interlock between two contactors: it has no position of its own but holds back the armature of the one
     * while the other's is away from rest.
     *
     * @param one the tag of a contactor
     * @param other the tag of the other
     */
    record Interlocking(String one, String other) implements Drive {
        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * A controller and its program. Bit 0 of its position reports whether its switch stands on run, bit n + 1 what output n is told.
     *
     * @param supply the place of its supply among the device's loads
     * @param works the share of rated supply voltage from which it works
     * @param readings the places of its inputs among the device's loads, in their order
     * @param reads the share of rated voltage from which an input reads 1, IEC 61131-2
     * @param unreads the share below which it reads 0 again
     * @param filter how long a new level must stand at an input before it is read
     * @param scan from one scan to the next, in microseconds
     */
    record ByProgram(
            int supply, double works, List<Integer> readings, double reads, double unreads, TimeRange filter, long scan)
            implements Drive {
        public ByProgram {
            readings = List.copyOf(readings);
        }

        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of(Verb.RUN, 1, Verb.HALT, 0);
        }
    }

    /**
     * An electromagnet whose contacts follow by a clockwork.
     *
     * @param coil the electromagnet
     * @param program what the clockwork does
     */
    record ByTimer(ByCoil coil, TimerProgram program) implements Drive {
        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * An electromagnet: position 1 while its coil has enough voltage. At which voltage exactly differs from one to the next, so both are
     * ranges: the bench takes what is nominal, the proof anything between lowest and highest.
     *
     * @param load the coil's place among the device's loads
     * @param pulls the share of rated voltage at which it pulls in
     * @param drops the share of rated voltage below which it lets go
     */
    record ByCoil(int load, ShareRange pulls, ShareRange drops) implements Drive {

        /** Pulls in at 85 % for certain (IEC 60947-4-1, 8.2.1.2), mostly between 65 and 80 %. */
        static final ShareRange PULLS = new ShareRange(0.65, 0.75, 0.85);

        /** Lets go between 20 % and 75 % with alternating current (IEC 60947-4-1, 8.2.1.2). */
        static final ShareRange DROPS_AC = new ShareRange(0.20, 0.50, 0.75);

        /** Lets go between 10 % and 75 % with direct current (IEC 60947-4-1, 8.2.1.2). */
        static final ShareRange DROPS_DC = new ShareRange(0.10, 0.40, 0.75);

        /** The share of rated voltage at which it pulls in on the bench. */
        public double pullIn() {
            return pulls.nominal();
        }

        /** The share of rated voltage below which it lets go on the bench. */
        public double dropOut() {
            return drops.nominal();
        }

        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }
}
