package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Duty;

/**
 * {@code restarts-when-power-returns} and {@code restarts-when-reset}: nothing starts by itself unless the sheet declares it.
 * Declared, it is shown as a note.
 */
final class RestartRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        boolean declared = study.assembly().sheet().duty() == Duty.AUTOMATIC_RESTART;
        List<Finding> findings = new ArrayList<>();
        for (StartTrial trial : study.trials()) {
            if (!trial.afterPowerReturned().isEmpty()) {
                String motors = Words.and(trial.afterPowerReturned());
                findings.add(new Finding(
                        "restarts-when-power-returns",
                        declared ? Severity.NOTE : Severity.DANGER,
                        List.copyOf(trial.afterPowerReturned()),
                        motors + " starts again by itself when power returns"
                                + (declared ? ", as the sheet's duty says." : "."),
                        "Somebody may have a hand in the machine. A start that springs back, with a seal-in, lets go when power"
                                + " fails; where a restart harms nobody, declare the duty automatic restart."));
            }
            for (StartTrial.Stop stop : trial.stops()) {
                if (!stop.afterwards().isEmpty()) {
                    findings.add(new Finding(
                            "restarts-when-reset",
                            declared ? Severity.NOTE : Severity.DANGER,
                            List.of(stop.tag()),
                            Words.and(stop.afterwards()) + " starts again by itself when " + stop.tag()
                                    + " is let go or reset" + (declared ? ", as the sheet's duty says." : "."),
                            "Letting go of a stop only allows a start; it must not be one."));
                }
            }
        }
        return findings;
    }
}
