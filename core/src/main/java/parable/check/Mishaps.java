package parable.check;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.bench.Sample;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What hurts motors: driven against the way they turn, with a field that is gone, or braked without end.
 *
 * @param plugged the motors that were driven against the way they turned, when another start was pressed or a knob was turned
 * @param runAway the motors that were still driven once their field had been opened
 * @param brakedOn the motors that direct current still braked long after a stop, with the contact of each speed switch stuck
 */
record Mishaps(Set<String> plugged, Set<String> runAway, Set<String> brakedOn) {

    static final Mishaps NONE = new Mishaps(Set.of(), Set.of(), Set.of());

    private static final String FIELD = "F1";

    private static final long WINDOW = 1_000_000;

    private static final double LEAST_VOLTS = 1;

    /** In per unit; slower, turning round is only starting. */
    private static final double TURNS = 0.2;

    /** The motors that at any instant of the last second were driven against the way they turned. */
    static Set<String> against(Assembly assembly, Bench bench) {
        Set<String> plugged = new HashSet<>();
        for (Part motor : assembly.parts()) {
            if (motor.family() == Family.MOTOR) {
                List<Sample> trace = bench.trace(motor.tag());
                trace.stream()
                        .filter(sample -> sample.time() > bench.now() - WINDOW)
                        .filter(sample ->
                                isAgainst(bench.momentAt(sample.time()).condition(motor.tag()), sample.speed()))
                        .findAny()
                        .ifPresent(sample -> plugged.add(motor.tag()));
            }
        }
        return plugged;
    }

    private static boolean isAgainst(Condition condition, double speed) {
        return condition == Condition.FORWARD && speed < -TURNS || condition == Condition.REVERSE && speed > TURNS;
    }

    /** The fields of these motors, each as it is when it is burnt through. */
    static Map<String, Fault> fields(Assembly assembly, Set<String> motors) {
        return assembly.parts().stream()
                .filter(part -> motors.contains(part.tag()))
                .flatMap(part -> part.loads().stream()
                        .filter(load -> load.from().equals(FIELD))
                        .map(load -> new Fault(Fault.Kind.BROKEN, part.tag(), load.from() + "-" + load.to())))
                .collect(Collectors.toMap(Fault::tag, Function.identity()));
    }

    /** The three-phase motors with a DC voltage between two of their leads, standing still or not. */
    static Set<String> carryingDirectCurrent(Assembly assembly, Moment moment) {
        Set<String> carrying = new HashSet<>();
        for (Part motor : assembly.parts()) {
            List<Terminal> leads = motor.lineLeads().stream()
                    .map(lead -> new Terminal(motor.tag(), lead))
                    .toList();
            boolean direct = leads.stream()
                    .flatMap(one -> leads.stream().flatMap(other -> moment.voltage(one, other).stream()))
                    .anyMatch(voltage -> voltage.direct() > LEAST_VOLTS);
            if (direct) {
                carrying.add(motor.tag());
            }
        }
        return carrying;
    }

    /** The contacts that close while a motor turns, each as it is when it sticks. */
    static List<Fault> stuckSpeedSwitches(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.drive() instanceof Drive.BySpeed)
                .flatMap(part -> part.contacts().stream()
                        .filter(contact -> !contact.isNormallyClosed())
                        .map(contact -> new Fault(Fault.Kind.WELDED, part.tag(), contact.marking())))
                .toList();
    }

    /** Puts a fault in that is possible for sure. */
    static void put(Bench bench, Fault fault) {
        try {
            bench.set(fault, true);
        } catch (ActionRefusedException impossible) {
            throw new IllegalStateException(fault.words() + " could not be tried", impossible);
        }
    }
}
