package parable.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.parts.Part;
import parable.parts.Protection;

/**
 * {@code protection-too-small}: a breaker or fuse that the motor's own current or its start opens. {@code protection-too-large}: one so large that a short in the
 * motor's wires, or its contactor, burns first. Usual are 1.5 to 2.5 times the rated current (NFPA 70, table 430.52; IEC 60947-4-1, annex on coordination), and
 * small motors have the smallest breaker that there is.
 */
final class RatingRule implements Rule {

    /** A direct start takes what the motor takes at standstill for at least so many seconds. */
    private static final double START_SECONDS = 0.3;

    private static final double MOST = 4;

    /** In A. */
    private static final double SMALLEST = 16;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            Optional<Protection> protection =
                    part.protection().filter(one -> one.curve().isPresent());
            if (protection.isPresent()) {
                study.runningWays().through(part).stream()
                        .max(Comparator.comparingDouble(RunningWays.Carried::amperes))
                        .flatMap(carried -> against(part, protection.get(), carried))
                        .ifPresent(findings::add);
            }
        }
        return findings;
    }

    private static Optional<Finding> against(Part part, Protection protection, RunningWays.Carried carried) {
        double amperes = carried.amperes();
        boolean opens = protection.amperes() < amperes
                || carried.motors().size() == 1
                        && protection.secondsAt(startTimes(carried.motors().get(0)) * amperes) < START_SECONDS;
        if (opens) {
            return Optional.of(finding(
                    "protection-too-small",
                    Severity.ERROR,
                    part,
                    protection,
                    carried,
                    "It opens at the start, which takes six to seven times as much for a while, or in ordinary work."));
        }
        boolean large = protection.amperes() > most(amperes);
        return large
                ? Optional.of(finding(
                        "protection-too-large",
                        Severity.WARNING,
                        part,
                        protection,
                        carried,
                        "A short in the motor's wires burns them and the contactor before it opens."))
                : Optional.empty();
    }

    /** The most in A that is not too large for a rated current: small motors have the smallest that there is. */
    static double most(double amperes) {
        return Math.max(SMALLEST, MOST * amperes);
    }

    private static double startTimes(Part motor) {
        return motor.machine().map(machine -> machine.motor().startTimes()).orElse(1.0);
    }

    private static Finding finding(
            String code,
            Severity severity,
            Part part,
            Protection protection,
            RunningWays.Carried carried,
            String reason) {
        List<String> motors = carried.motors().stream().map(Part::tag).toList();
        List<String> where = new ArrayList<>(List.of(part.tag()));
        where.addAll(motors);
        return new Finding(
                code,
                severity,
                where,
                String.format(
                        Locale.ROOT,
                        "%s is rated %.0f A, and %s %s %.1f A at rated load.",
                        part.tag(),
                        protection.amperes(),
                        String.join(" and ", motors),
                        motors.size() == 1 ? "takes" : "take",
                        carried.amperes()),
                reason);
    }
}
