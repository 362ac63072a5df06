package parable.check;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import parable.parts.Drive;
import parable.parts.Part;

/** {@code brake-untimed}: with every speed switch stuck, a motor that was stopped is still braked by direct current a minute later. */
final class EndlessBrakingRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Set<String> brakedOn = new TreeSet<>();
        study.trials().forEach(trial -> brakedOn.addAll(trial.mishaps().brakedOn()));
        return brakedOn.stream().map(motor -> untimed(study, motor)).toList();
    }

    private static Finding untimed(Study study, String motor) {
        String switches = Words.and(study.assembly().parts().stream()
                .filter(part -> part.drive() instanceof Drive.BySpeed)
                .map(Part::tag)
                .toList());
        return new Finding(
                "brake-untimed",
                Severity.WARNING,
                List.of(motor),
                switches.isEmpty()
                        ? "Nothing ends the braking of " + motor + " by direct current."
                        : "With " + switches + " stuck, nothing ends the braking of " + motor + " by direct current.",
                "Twice its rated current without any air from its fan burns the winding. A timer that is let go with the run contactor takes the brake"
                        + " out after its longest time.");
    }
}
