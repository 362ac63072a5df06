package parable.bench;

import java.util.Optional;
import parable.parts.Excitation;
import parable.parts.Phasor;
import parable.parts.Turning;

/**
 * The current by which a motor that still turns is hit when it is switched on again. Switched off, its field turns on with the rotor, falls behind the supply by the
 * slip and dies away; what drives the current at first is the difference between the new voltage and what is left of it, against the impedance of standstill
 * (transient performance of induction machines; practice for star-delta: up to the current of a direct start and more, by the angle at closing).
 *
 * @param left the voltage that the motor made when it was switched off, in per unit; empty before it has run and while it is fed
 * @param offSince when it was switched off, in microseconds
 * @param amperes what flows in a winding beyond the steady current at {@link #since()}, in A
 * @param since when it was switched on, in microseconds
 */
record FieldSurge(Optional<Phasor> left, long offSince, double amperes, long since) {

    static final FieldSurge NONE = new FieldSurge(Optional.empty(), 0, 0, 0);

    /** How fast the surge dies away: two periods of the supply. */
    private static final double SECONDS = 0.04;

    private static final double RADIANS_PER_SECOND = 2 * Math.PI * 50;
    private static final double GONE = 0.02;

    /**
     * After a change of voltage.
     *
     * @param speed in per unit, negative backward
     * @param fieldTime in which the field dies away to 37 %, in s
     */
    FieldSurge after(Excitation before, Excitation now, double speed, double fieldTime, long time) {
        Optional<Phasor> was = before.field();
        Optional<Phasor> is = now.field();
        if (is.isEmpty()) {
            return was.isPresent() && fieldTime > 0
                    ? new FieldSurge(was.map(field -> field.times(Math.abs(speed))), time, 0, 0)
                    : new FieldSurge(left, offSince, 0, 0);
        }
        if (was.isPresent() || fieldTime == 0) {
            return new FieldSurge(Optional.empty(), 0, at(time), time);
        }
        double voltage = is.get().amount();
        double difference = left.map(field -> field.times(Math.exp(-(time - offSince) / 1e6 / fieldTime)))
                .map(field -> field.turned(-(1 - Math.abs(speed)) * RADIANS_PER_SECOND * (time - offSince) / 1e6))
                .map(field -> isAgainst(now.turning(speed), speed)
                        ? voltage + field.amount()
                        : is.get().minus(field).amount())
                .orElse(voltage);
        double beyond = Math.max(0, now.amperesWithoutField(difference) - now.amperes(speed));
        return new FieldSurge(Optional.empty(), 0, beyond, time);
    }

    /** As if the motor had been switched off at a time with its whole field, so that the same voltage does not hit it at all. */
    FieldSurge whileFed(Excitation excitation, long time) {
        return excitation.field().isEmpty() ? this : new FieldSurge(excitation.field(), time, 0, 0);
    }

    private static boolean isAgainst(Turning driven, double speed) {
        return driven == Turning.FORWARD && speed < 0 || driven == Turning.REVERSE && speed > 0;
    }

    /** What flows in a winding beyond the steady current, in A. */
    double at(long time) {
        return amperes == 0 ? 0 : amperes * Math.exp(-(time - since) / 1e6 / SECONDS);
    }

    /**
     * The voltage that the motor still makes while nothing feeds it, in per unit; 0 for one that is fed or never was.
     *
     * @param fieldTime in which the field dies away to 37 %, in s
     */
    double voltageLeft(long time, double fieldTime) {
        return fieldTime > 0
                ? left.map(field -> field.amount() * Math.exp(-(time - offSince) / 1e6 / fieldTime))
                        .orElse(0.0)
                : 0;
    }

    /** Whether nothing of it is left to speak of. */
    boolean isOver(long time) {
        return at(time) <= GONE * amperes;
    }
}
