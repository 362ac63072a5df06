package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import parable.parts.Part;

/**
 * {@code motor-voltage}: a three-phase motor whose windings get another voltage than they are made for, in the way of the power circuit in which it gets most
 * (IEC 60034-1: 95 to 105 % for good).
 */
final class MotorVoltageRule implements Rule {

    private static final double MOST = 1.1;
    private static final double LEAST = 0.9;

    @Override
    public List<Finding> findings(Study study) {
        RunningWays ways = study.runningWays();
        List<Finding> findings = new ArrayList<>();
        ways.fullestShares().forEach((motor, share) -> {
            if (share > MOST || share < LEAST) {
                findings.add(finding(motor, share));
            }
        });
        return findings;
    }

    private static Finding finding(Part motor, double share) {
        boolean high = share > MOST;
        return new Finding(
                "motor-voltage",
                high ? Severity.DANGER : Severity.ERROR,
                List.of(motor.tag()),
                String.format(
                        Locale.ROOT,
                        "The windings of %s get %.0f %% of the voltage that they are made for.",
                        motor.tag(),
                        100 * share),
                high
                        ? "Its iron saturates, and it burns although it has no load. Compare the nameplate with the supply, and"
                                + " with the way in which its windings are joined."
                        : "It has less than its torque, slips and gets hot. Compare the nameplate with the supply, and with the"
                                + " way in which its windings are joined.");
    }
}
