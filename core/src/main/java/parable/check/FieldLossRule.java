package parable.check;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * {@code field-loss}: a DC motor goes on getting voltage on its armature when its shunt field has lost its current. Unloaded it then runs away, loaded it
 * stalls on many times its current (overspeed, IEC 60204-1, 7.6; NFPA 79, 7.6).
 */
final class FieldLossRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Set<String> motors = new TreeSet<>();
        study.trials().forEach(trial -> motors.addAll(trial.mishaps().runAway()));
        return motors.stream().map(FieldLossRule::finding).toList();
    }

    private static Finding finding(String motor) {
        return new Finding(
                "field-loss",
                Severity.DANGER,
                List.of(motor),
                "With its field gone, " + motor + " still gets voltage on its armature.",
                "Without a field a motor with little load runs away and can fly apart; with more load it stalls and burns. Put a relay in series with the"
                        + " field that feels its current, and let its contact take the armature's contactor out.");
    }
}
