package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code overload-setting}: a thermal release that is set far from the rated current of the motor, as its power and voltage give it: I = P / (sqrt3 U
 * eta cosphi), and with six leads that divided by root 3 in the motor's leads. At most 125 % is allowed by North American practice, IEC wants the
 * rated current itself. Only looked at where there is one motor for three phases.
 */
final class OverloadSettingRule implements Rule {

    private static final double MOST = 1.25;
    private static final double LEAST = 0.75;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        List<Part> motors = study.parts(Family.MOTOR).toList();
        if (motors.size() == 1 && isForThreePhases(motors.get(0))) {
            study.assembly().parts().stream()
                    .filter(part -> part.heater().isPresent())
                    .forEach(release -> look(motors.get(0), release, findings));
        }
        return findings;
    }

    private static boolean isForThreePhases(Part motor) {
        List<Load> windings = motor.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .toList();
        return windings.size() == 3
                && windings.stream().allMatch(load -> load.rated().kind() == CurrentKind.AC);
    }

    private static void look(Part motor, Part release, List<Finding> findings) {
        Load winding = motor.loads().get(0);
        double inLeads = winding.rated().volts() / Math.hypot(winding.ohms(), winding.reactance());
        boolean six = motor.terminals().contains(winding.to());
        double inLine = six ? Math.sqrt(3) * inLeads : inLeads;
        double set = release.heater().orElseThrow().setting();
        boolean fits = fits(set / inLeads) || fits(set / inLine);
        if (!fits) {
            String rated = six
                    ? String.format(Locale.ROOT, "%.1f A in its leads and %.1f A in the line", inLeads, inLine)
                    : String.format(Locale.ROOT, "%.1f A", inLeads);
            boolean high = set > inLine;
            findings.add(new Finding(
                    "overload-setting",
                    Severity.WARNING,
                    List.of(release.tag(), motor.tag()),
                    String.format(
                            Locale.ROOT,
                            "%s is set to %.1f A, and %s takes %s.",
                            release.tag(),
                            set,
                            motor.tag(),
                            rated),
                    (high
                                    ? "Set so high it lets the motor burn before it trips."
                                    : "Set so low it trips in ordinary work.")
                            + " The current follows from power and voltage, with 0.83 for efficiency and power factor each; the"
                            + " nameplate decides."));
        }
    }

    private static boolean fits(double share) {
        return share >= LEAST && share <= MOST;
    }
}
