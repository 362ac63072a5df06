package parable.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.parts.Catalogue;
import parable.parts.Excitation;
import parable.parts.Heater;
import parable.parts.Machine;
import parable.parts.Part;
import parable.parts.SettingException;

/**
 * A motor that comes up to speed with its load, by the same model of motor and load that the bench runs: from one instant to the next the speed grows with the torque that
 * is left over, so that rated torque alone takes the stated run-up time.
 *
 * @param points from standstill on, one each few milliseconds
 * @param arrives whether it comes up to the speed that is asked for
 */
public record RunUp(List<RunUpPoint> points, boolean arrives) {

    private static final double LONGEST = 120;
    private static final int STEPS_A_POINT = 5;

    /** At this share of the speed without load a start is over: the current has fallen to that of the load. */
    static final double UP = 0.94;

    /** Where star is changed to delta, as a share of the speed without load. */
    static final double CHANGE = 0.8;

    private static final double STALLED = 1e-4;

    /** Not modified: the list is copied. */
    public RunUp {
        points = List.copyOf(points);
    }

    /**
     * An instant on the way up.
     *
     * @param seconds since it was switched on
     * @param speed as a share of the speed without load
     * @param torque of the motor, in multiples of rated torque
     * @param resistance of the load, likewise
     * @param times the current in the line, in multiples of rated current
     */
    public record RunUpPoint(double seconds, double speed, double torque, double resistance, double times) {}

    /** A motor and its load, at full voltage or in star. */
    static final class Model {

        private final Machine machine;
        private final double volts;
        private final double amperes;
        private final double scale;

        /**
         * The model of a three-phase motor.
         *
         * @param startTimes what a direct start takes in multiples of rated current; the model's own current is scaled to it
         */
        Model(SizingInputs inputs, double startTimes) throws SizingException {
            Part part = fitted(inputs);
            machine = part.machine().orElseThrow();
            volts = part.loads().get(0).rated().volts();
            amperes = rated();
            scale = startTimes / (under(1).amperes(0) / amperes);
        }

        private static Part fitted(SizingInputs inputs) throws SizingException {
            Map<String, String> settings = new LinkedHashMap<>();
            settings.put("voltage", Figures.written(inputs.number(MotorQuestion.VOLTAGE)) + " V AC");
            settings.put("power", inputs.word(MotorQuestion.POWER));
            settings.put("drives", inputs.word(MotorQuestion.DRIVES));
            settings.put("load", inputs.word(MotorQuestion.LOAD));
            inputs.said(MotorQuestion.RUN_UP).ifPresent(written -> settings.put("run-up", written));
            Device device = new Device("M1", "", "three-phase-motor", "", "", Optional.empty(), settings, Extras.NONE);
            try {
                return Catalogue.kind(device.kind()).orElseThrow().fit(device);
            } catch (SettingException senseless) {
                throw new SizingException(inputs.about(), senseless.found(), senseless.expected());
            }
        }

        /** The rated current of a winding by the model: where motor and rated torque are in balance. */
        private double rated() {
            Excitation full = under(1);
            double speed = 1;
            while (full.torque(speed) < 1) {
                speed -= 1e-4;
            }
            return full.amperes(speed);
        }

        /** The motor under a share of its voltage, the three windings alike. */
        private Excitation under(double share) {
            double fed = share * volts;
            double root = Math.sqrt(3) / 2;
            return machine.motor()
                    .under(new double[][] {{fed, 0, 0}, {-fed / 2, -fed * root, 0}, {-fed / 2, fed * root, 0}});
        }

        /** What there is at a speed; in star the windings have 1 / sqrt3 of their voltage and the line a third of the current. */
        RunUpPoint at(double seconds, double speed, boolean star) {
            Excitation fed = under(star ? 1 / Math.sqrt(3) : 1);
            double line = star ? 1 / Math.sqrt(3) : 1;
            return new RunUpPoint(
                    seconds,
                    speed,
                    fed.torque(speed),
                    machine.driven().resistance(machine.load(), speed),
                    scale * line * fed.amperes(speed) / amperes);
        }

        /** The way up to a speed. */
        RunUp to(double until, boolean star) {
            return from(new RunUpPoint(0, 0, 0, 0, 0), until, star);
        }

        /** The way up from a point on. */
        RunUp from(RunUpPoint begin, double until, boolean star) {
            double step = Math.max(0.0005, Math.min(0.005, machine.runUp() / 200));
            List<RunUpPoint> points = new ArrayList<>();
            double speed = begin.speed();
            int steps = 0;
            RunUpPoint now = at(begin.seconds(), speed, star);
            while (speed < until
                    && now.seconds() - begin.seconds() < LONGEST
                    && now.torque() - now.resistance() > STALLED) {
                if (steps++ % STEPS_A_POINT == 0) {
                    points.add(now);
                }
                speed += step * (now.torque() - now.resistance()) / machine.runUp();
                now = at(begin.seconds() + steps * step, speed, star);
            }
            points.add(now);
            return new RunUp(points, speed >= until);
        }

        /** Torque and current over the speed, from standstill to the speed without load. */
        List<RunUpPoint> curve(boolean star) {
            List<RunUpPoint> curve = new ArrayList<>();
            for (int percent = 0; percent <= 100; percent++) {
                curve.add(at(0, percent / 100.0, star));
            }
            return curve;
        }
    }

    /** How long it takes, in s. */
    public double seconds() {
        return points.get(points.size() - 1).seconds();
    }

    /** The last of it. */
    public RunUpPoint last() {
        return points.get(points.size() - 1);
    }

    /** Both ways after each other. */
    RunUp then(RunUp next) {
        List<RunUpPoint> both = new ArrayList<>(points);
        both.addAll(next.points);
        return new RunUp(both, next.arrives);
    }

    /**
     * How hot it makes a release, as a share of the heat at which that trips.
     *
     * @param times what the release has of the line's current
     * @param rated the current of the motor, in A
     */
    double heat(Heater release, double rated, double times) {
        double heat = 0;
        for (int i = 1; i < points.size(); i++) {
            double seconds = points.get(i).seconds() - points.get(i - 1).seconds();
            heat = release.after(heat, points.get(i - 1).times() * rated * times, Math.max(0, seconds));
        }
        return heat / Heater.TRIPS_AT;
    }

    /** The sum of the square of the current over the time, in multiples of rated current squared and s. */
    double squareSeconds() {
        double sum = 0;
        for (int i = 1; i < points.size(); i++) {
            double seconds = points.get(i).seconds() - points.get(i - 1).seconds();
            sum += points.get(i - 1).times() * points.get(i - 1).times() * Math.max(0, seconds);
        }
        return sum;
    }
}
