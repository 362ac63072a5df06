package parable.proof;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongPredicate;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;
import parable.reach.Explorer;

/**
 * {@code signal:TAG}: what a lamp, horn or solenoid says, found by comparing it in every settled state with what there is to be said. One
 * that says nothing simple raises no claim.
 */
final class Signals implements ClaimSource {

    private final CircuitMachine machine;
    private final Explorer explorer;
    private long[] settled = {};

    Signals(CircuitMachine machine, Explorer explorer) {
        this.machine = machine;
        this.explorer = explorer;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        if (!explorer.isComplete() || machine.mayNeverSettle()) {
            return claims;
        }
        settled = explorer.settled().stream()
                .mapToLong(index -> explorer.states().key(index))
                .toArray();
        Map<String, BitSet> sayings = sayings();
        for (int signal = 0; signal < machine.signals().size(); signal++) {
            int number = signal;
            String tag = machine.signals().get(signal);
            BitSet lit = where(state -> (machine.settled(state).lit() >> number & 1) == 1);
            if (machine.mayBlink(tag)) {
                continue;
            }
            if (lit.isEmpty()) {
                inPassing(number).ifPresent(claims::add);
                continue;
            }
            sayings.entrySet().stream()
                    .filter(saying -> saying.getValue().equals(lit))
                    .findFirst()
                    .ifPresent(saying -> claims.add(Claim.holding(
                            "signal:" + tag,
                            "Once all has settled, " + machine.signal(number) + " is on exactly when " + saying.getKey()
                                    + ".",
                            Verdict.HOLDS_AT_ANY_SPEED,
                            List.of())));
        }
        return claims;
    }

    /** What is never on once all has settled, as a warning that sounds for a while. */
    private Optional<Claim> inPassing(int number) {
        boolean on = false;
        boolean whileDriven = false;
        for (Conduction conduction : explorer.conductions()) {
            if ((conduction.lit() >> number & 1) == 1) {
                on = true;
                whileDriven |= conduction.driven() != 0;
            }
        }
        String tag = machine.signals().get(number);
        return on
                ? Optional.of(Claim.holding(
                        "signal:" + tag,
                        machine.signal(number) + " is on in passing only, never once all has settled"
                                + (whileDriven ? "." : ", and never while a motor is fed."),
                        Verdict.HOLDS_AT_ANY_SPEED,
                        List.of()))
                : Optional.empty();
    }

    /** Which of the settled states are of a kind, by their order. */
    private BitSet where(LongPredicate kind) {
        BitSet where = new BitSet();
        for (int i = 0; i < settled.length; i++) {
            where.set(i, kind.test(settled[i]));
        }
        return where;
    }

    private Map<String, BitSet> sayings() {
        Map<String, BitSet> sayings = new LinkedHashMap<>();
        BitSet power = where(machine::hasPower);
        sayings.put("there is power", power);
        sayings.put("a motor is fed", where(state -> machine.conduction(state).driven() != 0));
        for (int p = 0; p < machine.parts().size(); p++) {
            Part part = machine.parts().get(p);
            if (machine.component(p) instanceof Component.Armature) {
                both(sayings, part.tag() + " is in", part.tag() + " is out", stands(p, Component.Armature.IN), power);
            } else if (part.family() == Family.OVERLOAD_RELAY) {
                both(sayings, part.tag() + " has tripped", part.tag() + " is healthy", stands(p, 1), power);
            } else if (part.family() == Family.EMERGENCY_STOP || part.family() == Family.MACHINE_SWITCH) {
                both(sayings, part.tag() + " is actuated", part.tag() + " is at rest", stands(p, 1), power);
            } else if (part.family() == Family.CONTROLLER
                    && machine.programmed().isPresent()) {
                BitSet scans = where(state -> machine.scans(state, machine.conduction(state)));
                both(sayings, part.tag() + " runs", part.tag() + " is stopped", scans, power);
            }
        }
        List<Map.Entry<String, BitSet>> single = List.copyOf(sayings.entrySet());
        for (int i = 0; i < single.size(); i++) {
            for (int j = i + 1; j < single.size(); j++) {
                BitSet either = (BitSet) single.get(i).getValue().clone();
                either.or(single.get(j).getValue());
                sayings.putIfAbsent(
                        single.get(i).getKey() + " or " + single.get(j).getKey(), either);
                BitSet together = (BitSet) single.get(i).getValue().clone();
                together.and(single.get(j).getValue());
                sayings.putIfAbsent(
                        single.get(i).getKey() + " and " + single.get(j).getKey(), together);
            }
        }
        return sayings;
    }

    private BitSet stands(int part, int value) {
        return where(state -> machine.value(state, part) == value);
    }

    private static void both(Map<String, BitSet> sayings, String is, String isNot, BitSet where, BitSet power) {
        BitSet withPower = (BitSet) where.clone();
        withPower.and(power);
        sayings.put(is, withPower);
        BitSet others = (BitSet) power.clone();
        others.andNot(where);
        sayings.put(isNot, others);
    }
}
