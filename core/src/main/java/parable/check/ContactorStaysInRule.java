package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import parable.circuit.Duty;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code contactor-stays-in}: a breaker or isolator takes a motor's current and leaves its contactor in, so that the motor starts when it is closed
 * again. Read from the drawing; not looked at where a controller decides.
 */
final class ContactorStaysInRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        boolean declared = study.assembly().sheet().duty() == Duty.AUTOMATIC_RESTART;
        if (declared || study.parts(Family.CONTROLLER).findAny().isPresent()) {
            return findings;
        }
        StopPath path = new StopPath(study);
        for (Part breaker : study.parts(Family.BREAKER, Family.ISOLATOR).toList()) {
            boolean switchesPower = breaker.contacts().stream()
                    .anyMatch(contact -> contact.pole() && study.isWired(breaker, contact.from()));
            Set<String> started = switchesPower ? path.startedAgain(breaker) : Set.of();
            if (!started.isEmpty()) {
                List<String> where = new ArrayList<>(List.of(breaker.tag()));
                where.addAll(started);
                findings.add(new Finding(
                        "contactor-stays-in",
                        Severity.DANGER,
                        where,
                        breaker.tag() + " opens and the contactor of " + Words.and(started)
                                + " stays in: the motor starts when " + breaker.tag() + " is closed again.",
                        "Take the control supply from behind it, or put its own contact in the way of the coil."));
            }
        }
        return findings;
    }
}
