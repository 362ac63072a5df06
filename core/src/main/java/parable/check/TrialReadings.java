package parable.check;

import java.util.Optional;
import parable.bench.Bench;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.LoadRole;
import parable.parts.Part;

/** What is read of the bench while a start is tried. */
final class TrialReadings {

    private static final double NO_VOLTAGE = 10;

    private TrialReadings() {}

    /** The two wires that meet at what closed a short circuit: {@code : wires 5 and 9 meet}. */
    static String meeting(Solution shorted) {
        return shorted.shorts().stream()
                .findFirst()
                .map(found -> ": " + found.wires(shorted.network()) + " meet")
                .orElse("");
    }

    /** The speed of a motor at an instant, in per unit, whichever way it turns. */
    static double speed(Bench bench, String motor, long time) {
        return bench.trace(motor).stream()
                .filter(sample -> sample.time() <= time)
                .reduce((earlier, later) -> later)
                .map(sample -> Math.abs(sample.speed()))
                .orElse(0.0);
    }

    /** The voltage on the first winding of a motor in V, empty if it has none. */
    static Optional<Double> winding(Moment moment, Part part) {
        return part.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .findFirst()
                .flatMap(load ->
                        moment.voltage(new Terminal(part.tag(), load.from()), new Terminal(part.tag(), load.to())))
                .map(Potential::rms)
                .filter(volts -> volts > NO_VOLTAGE);
    }
}
