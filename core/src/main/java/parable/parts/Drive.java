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
     * @param positions their names, that of position 0 first
     */
    record ByTurning(List<String> positions) implements Drive {
        public ByTurning {
            positions = List.copyOf(positions);
        }

        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }

    /**
     * An electromagnet: position 1 while its coil has enough voltage.
     *
     * @param load the coil's place among the device's loads
     * @param pullIn the share of rated voltage at which it pulls in, 0.85 by IEC 60947-4-1
     * @param dropOut the share of rated voltage below which it lets go, 0.20 to 0.75 by IEC 60947-4-1 for AC
     */
    record ByCoil(int load, double pullIn, double dropOut) implements Drive {
        @Override
        public Map<Verb, Integer> verbs() {
            return Map.of();
        }
    }
}
