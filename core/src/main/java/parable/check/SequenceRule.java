package parable.check;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code full-voltage-first}: a motor with six leads that gets more voltage when it is started than once it runs; {@code stays-in-star}: one
 * that goes on with the voltage of star; {@code star-too-short}: one that is changed over while it is still slow, so that it takes nearly the current of a direct start
 * after all; and {@code never-pulls-in}: a contactor whose coil is on the drawing and that nothing brings in.
 */
final class SequenceRule implements Rule {

    private static final double MORE = 1.3;

    /** Star gives 58 % of the voltage, half-way to full is 79 %. */
    private static final double STAR = 0.79;

    /** The speed, in per unit, below which the current in delta is still near that of a direct start; practice, 80 to 85 %. */
    private static final double UP = 0.8;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        Set<String> pulledIn = new LinkedHashSet<>();
        boolean shorted = false;
        for (StartTrial trial : study.trials()) {
            pulledIn.addAll(trial.pulledIn());
            shorted |= trial.shortedBy().isPresent();
            trial.begun().forEach((motor, first) -> {
                double last = trial.settled().getOrDefault(motor, 0.0);
                if (last > 0 && first > MORE * last && hasSixLeads(study, motor)) {
                    findings.add(fullVoltageFirst(motor, first, last));
                } else if (last > 0 && last < STAR * rated(study, motor) && hasSixLeads(study, motor)) {
                    findings.add(staysInStar(motor, last, rated(study, motor)));
                }
            });
            trial.changedAt().forEach((motor, speed) -> {
                if (speed < UP && hasSixLeads(study, motor)) {
                    findings.add(starTooShort(motor, speed));
                }
            });
        }
        for (Part contactor :
                shorted ? List.<Part>of() : study.parts(Family.CONTACTOR).toList()) {
            boolean wired = contactor.drive() instanceof Drive.ByCoil
                    && study.isWired(contactor, Study.coil(contactor).from());
            if (wired && !pulledIn.contains(contactor.tag())) {
                findings.add(neverPullsIn(contactor.tag()));
            }
        }
        return findings;
    }

    private static boolean hasSixLeads(Study study, String motor) {
        Part part = study.assembly().part(motor).orElseThrow();
        return !part.lineLeads().isEmpty() && !part.loads().get(0).endsAtStarPoint();
    }

    private static double rated(Study study, String motor) {
        return study.assembly().part(motor).orElseThrow().loads().stream()
                .mapToDouble(load -> load.rated().volts())
                .max()
                .orElse(0);
    }

    private static Finding staysInStar(String motor, double last, double rated) {
        return new Finding(
                "stays-in-star",
                Severity.ERROR,
                List.of(motor),
                String.format(
                        Locale.ROOT,
                        "%s runs on in star: %.0f V on each winding instead of %.0f V.",
                        motor,
                        last,
                        rated),
                "In star it gives a third of its torque; under load it stalls or burns. Look for what should bring delta in.");
    }

    private static Finding starTooShort(String motor, double speed) {
        return new Finding(
                "star-too-short",
                Severity.WARNING,
                List.of(motor),
                String.format(
                        Locale.ROOT, "%s is changed from star to delta at %.0f %% of its speed.", motor, 100 * speed),
                "Below 80 % it takes nearly the current of a direct start when delta comes in, which star was to spare. Set the star time to the time in"
                        + " which it comes up; if it does not come up in star at all, its load is too heavy for a third of the torque.");
    }

    private static Finding fullVoltageFirst(String motor, double first, double last) {
        return new Finding(
                "full-voltage-first",
                Severity.ERROR,
                List.of(motor),
                String.format(
                        Locale.ROOT,
                        "%s is started with %.0f V on its winding and runs with %.0f V: delta comes before star.",
                        motor,
                        first,
                        last),
                "Closed and open contact of the timer are confused, or its common side. Star is fed through the contact that opens"
                        + " when the time is over, delta through the one that closes.");
    }

    private static Finding neverPullsIn(String contactor) {
        return new Finding(
                "never-pulls-in",
                Severity.WARNING,
                List.of(contactor),
                contactor + " never pulls in, whatever is pressed, turned or actuated by itself.",
                "Look for a timer of the wrong kind, a closed contact in the place of an open one, or a break in its rung.");
    }
}
