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
import parable.bench.Sample;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What hurts motors while they run: driven against the way they turn, or with a field that is gone.
 *
 * @param plugged the motors that were driven against the way they turned, when another start was pressed or a knob was turned
 * @param runAway the motors that were still driven once their field had been opened
 */
record Mishaps(Set<String> plugged, Set<String> runAway) {

    static final Mishaps NONE = new Mishaps(Set.of(), Set.of());

    private static final String FIELD = "F1";

    private static final long WINDOW = 1_000_000;

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

    /** Opens a field. */
    static void open(Bench bench, Fault field) {
        try {
            bench.set(field, true);
        } catch (ActionRefusedException impossible) {
            throw new IllegalStateException(field.words() + " could not be tried", impossible);
        }
    }
}
