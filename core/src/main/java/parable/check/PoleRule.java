package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import parable.network.PowerPath;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** {@code pole-unused}: a contactor of a motor for three phases that switches with some of its poles and leaves others free. */
final class PoleRule implements Rule {

    private static final int PHASES = 3;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        PowerPath power = new PowerPath(study.assembly());
        for (Part contactor : study.switchingContactors().toList()) {
            List<String> free = contactor.contacts().stream()
                    .filter(pole -> pole.pole() && !isWired(study, contactor, pole))
                    .map(Contact::marking)
                    .toList();
            Set<String> motors = power.motorsFedBy(contactor);
            motors.removeIf(
                    motor -> !isForThreePhases(study.assembly().part(motor).orElseThrow()));
            if (!free.isEmpty() && !motors.isEmpty()) {
                findings.add(new Finding(
                        "pole-unused",
                        Severity.WARNING,
                        List.of(contactor.tag()),
                        contactor.tag() + " switches for " + Words.and(motors) + " and leaves its pole "
                                + Words.and(free) + " free.",
                        "What that pole could open stays joined when the contactor is out. Two poles are enough to make a star point; a"
                                + " lead that goes past the contactor is a mistake."));
            }
        }
        return findings;
    }

    private static boolean isWired(Study study, Part part, Contact contact) {
        return study.isWired(part, contact.from()) && study.isWired(part, contact.to());
    }

    private static boolean isForThreePhases(Part motor) {
        return motor.family() == Family.MOTOR
                && motor.loads().stream()
                                .map(Load::role)
                                .filter(LoadRole.WINDING::equals)
                                .count()
                        == PHASES;
    }
}
