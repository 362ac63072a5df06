package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.network.Solution;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Nameplate;
import parable.parts.Part;

/**
 * What is said of a brake by direct current. {@code brake-current}: what flows in a winding while the brake contactor alone is in is less than the motor's rated
 * current, so that it hardly brakes, or more than three times that (practice: 1.5 to 2.5 times). {@code brake-unfused}: its rectifier is behind the motor's own protection
 * only, which is far too large for its diodes (IEC 60204-1, 7.2). {@code brake-resistor}: nothing says that its resistor can take the heat.
 */
final class BrakeRule implements Rule {

    private static final double LEAST = 1;
    private static final double MOST = 3;

    /** Three seconds in two minutes, which is how often a machine is braked as a rule. */
    private static final double SHARE_OF_TIME = 0.025;

    /** Of rated current; less is no brake. */
    private static final double NOTHING = 0.02;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Part brake : study.switchingContactors().toList()) {
            Solution in = study.solution(
                    study.closed((part, contact) -> Study.isFeed(part, contact) || part.is(brake) && contact.pole()));
            if (in.shorts().isEmpty()) {
                study.parts(Family.MOTOR)
                        .filter(motor -> motor.loads().get(0).rated().kind() == CurrentKind.AC)
                        .forEach(motor -> judge(study, brake, motor, in, findings));
            }
        }
        return findings;
    }

    private static void judge(Study study, Part brake, Part motor, Solution in, List<Finding> findings) {
        int part = study.assembly().parts().indexOf(motor);
        double times = IntStream.range(0, motor.loads().size())
                .filter(load -> motor.loads().get(load).role() == LoadRole.WINDING)
                .mapToDouble(load -> timesRated(
                        motor.loads().get(load),
                        in.loadVoltage(study.network().load(part, load)).direct()))
                .max()
                .orElse(0);
        if (times <= NOTHING) {
            return;
        }
        if (times < LEAST || times > MOST) {
            findings.add(current(brake, motor, times));
        }
        study.parts(Family.RESISTOR).forEach(resistor -> {
            int number = study.assembly().parts().indexOf(resistor);
            double volts = in.loadVoltage(study.network().load(number, 0)).rms();
            double watts = volts * volts / resistor.loads().get(0).ohms();
            if (watts > 1 && rated(resistor) < SHARE_OF_TIME * watts) {
                findings.add(resistor(resistor, motor, watts));
            }
        });
        rectifiersWithoutFuse(study)
                .filter(rectifier -> leadsTo(study, in, rectifier, motor))
                .forEach(rectifier -> findings.add(unfused(rectifier)));
    }

    /** What a resistor is made for in W, 0 if nothing says it. */
    private static double rated(Part resistor) {
        return resistor.device().figure("power").orElse(0.0);
    }

    private static Finding resistor(Part resistor, Part motor, double watts) {
        String kilowatts = Nameplate.figure(Math.round(watts / 100) / 10.0) + " kW";
        String least = Math.round(SHARE_OF_TIME * watts) + " W";
        return new Finding(
                "brake-resistor",
                Severity.WARNING,
                List.of(resistor.tag()),
                resistor.tag() + " takes " + kilowatts + " while " + motor.tag() + " is braked, and "
                        + resistor.device()
                                .setting("power")
                                .map(power -> "is made for " + power + ".")
                                .orElse("nothing says what it is made for."),
                "Braked for three seconds every two minutes it warms as with " + least
                        + " for good. Give it that much, more where it brakes more"
                        + " often, and room for its heat; the maker's table says what it stands for seconds.");
    }

    private static double timesRated(Load winding, double direct) {
        double rated = winding.rated().volts() / Math.hypot(winding.ohms(), winding.reactance());
        return Math.abs(direct) / winding.directOhms() / rated;
    }

    /** Those that a line still reaches with every fuse out, and every breaker open that no motor is behind. */
    private static Stream<Part> rectifiersWithoutFuse(Study study) {
        List<Part> mains = study.switchesBeforeMotors();
        Solution unfused = study.joints(study.closed((part, contact) -> !contact.pole()
                || part.family() != Family.FUSE && (part.family() != Family.BREAKER || mains.contains(part))));
        return study.parts(Family.CONVERTER).filter(part -> part.loads().stream()
                .flatMap(load -> Stream.of(load.from(), load.to()))
                .anyMatch(marking -> study.isJoinedWithLine(unfused, study.node(part, marking))));
    }

    private static boolean leadsTo(Study study, Solution joints, Part rectifier, Part motor) {
        return rectifier.sources().stream()
                .flatMap(source -> Stream.of(source.live(), source.reference()))
                .anyMatch(marking -> motor.loads().stream()
                        .anyMatch(
                                load -> joints.joined(study.node(rectifier, marking), study.node(motor, load.from()))));
    }

    private static Finding current(Part brake, Part motor, double times) {
        return new Finding(
                "brake-current",
                Severity.WARNING,
                List.of(brake.tag(), motor.tag()),
                String.format(
                        Locale.ROOT,
                        "While %s brakes, %s carries %.1f times its rated current.",
                        brake.tag(),
                        motor.tag(),
                        times),
                times < LEAST
                        ? "With less than its rated current it hardly brakes. One and a half to two and a half times is usual: a smaller resistor, or more"
                                + " voltage before the rectifier."
                        : "More than three times heats the winding at every stop and jerks the machine. One and a half to two and a half times is usual:"
                                + " a larger resistor, or less voltage before the rectifier.");
    }

    private static Finding unfused(Part rectifier) {
        return new Finding(
                "brake-unfused",
                Severity.WARNING,
                List.of(rectifier.tag()),
                "Nothing but the motor's own protection is before " + rectifier.tag() + ".",
                "A diode that has broken down shorts two lines; the motor's breaker is far too large for it and its thin wires. Put fuses before it,"
                        + " one in each line.");
    }
}
