package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import parable.circuit.ColourCode;
import parable.circuit.Practice;
import parable.network.PowerPath;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Protection;

/**
 * What of the power circuit a motor's current flows through, as it is drawn.
 *
 * @param motor the motor
 * @param carriers all devices with poles in its way at full voltage, in the order of the sheet
 * @param startsOnly the contactors that feed it and carry nothing at full voltage: that of the star point, or of a brake
 * @param heavy whether it is jogged, or turned round while it runs
 */
public record MotorCircuit(Part motor, List<Carrier> carriers, List<Part> startsOnly, boolean heavy) {

    /** Not modified: the lists are copied. */
    public MotorCircuit {
        carriers = List.copyOf(carriers);
        startsOnly = List.copyOf(startsOnly);
    }

    /**
     * A device in the way of a motor's current.
     *
     * @param part the device
     * @param amperes what its poles carry at most at rated load, in A, of this motor alone
     * @param others the tags of the other motors whose current flows through it too
     */
    public record Carrier(Part part, double amperes, Set<String> others) {

        /** Not modified: the set is copied. */
        public Carrier {
            others = Set.copyOf(others);
        }
    }

    /**
     * Those of all motors of a sheet. The starter is tried in the usual ways to see which motors are jogged.
     *
     * @param practice in whose colours the rules look at it
     */
    public static List<MotorCircuit> of(Assembly assembly, Practice practice) {
        Study study = new Study(assembly, ColourCode.of(practice), () -> false);
        PowerPath path = new PowerPath(assembly);
        Set<String> heavy = HeavyDutyRule.heavy(study);
        return study.parts(Family.MOTOR)
                .map(motor -> of(motor, study, path, heavy.contains(motor.tag())))
                .toList();
    }

    private static MotorCircuit of(Part motor, Study study, PowerPath path, boolean heavy) {
        List<Carrier> carriers = new ArrayList<>();
        List<Part> startsOnly = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            if (part.contacts().stream().anyMatch(Contact::pole)) {
                OptionalDouble carried = study.runningWays().of(part, motor);
                if (carried.isPresent()) {
                    Set<String> others = new HashSet<>();
                    study.runningWays().through(part).forEach(way -> way.motors()
                            .forEach(one -> others.add(one.tag())));
                    others.remove(motor.tag());
                    carriers.add(new Carrier(part, carried.getAsDouble(), others));
                } else if (part.family() == Family.CONTACTOR
                        && path.motorsFedBy(part).contains(motor.tag())) {
                    startsOnly.add(part);
                }
            }
        }
        return new MotorCircuit(motor, carriers, startsOnly, heavy);
    }

    /**
     * The largest protection of a motor's circuit that still opens before a short in its wires burns them and the contactor, in A.
     *
     * @param amperes the rated current of what it carries
     */
    public static double mostProtection(double amperes) {
        return RatingRule.most(amperes);
    }

    /** The breaker or fuse with a curve that is this motor's alone, empty if there is none. */
    public Optional<Carrier> branch() {
        return carriers.stream()
                .filter(carrier -> carrier.others().isEmpty()
                        && carrier.part()
                                .protection()
                                .filter(one -> one.curve().isPresent())
                                .isPresent())
                .findFirst();
    }

    /** What that opens at, empty if there is none. */
    public Optional<Protection> protection() {
        return branch().flatMap(carrier -> carrier.part().protection());
    }

    /** The device with a thermal release that is this motor's alone, empty if there is none. */
    public Optional<Carrier> release() {
        return carriers.stream()
                .filter(carrier ->
                        carrier.others().isEmpty() && carrier.part().heater().isPresent())
                .findFirst();
    }
}
