package parable.check;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import parable.circuit.Duty;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code start-does-not-hold}, {@code nothing-starts} and {@code trips-when-tried}: what a maintained duty asks of a start. Where
 * something is shorted that is told instead.
 */
final class StartRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        boolean shorted = study.rehearsals().stream()
                .anyMatch(rehearsal -> rehearsal.shortedBy().isPresent());
        if (shorted) {
            return findings;
        }
        Set<String> tripped = new LinkedHashSet<>();
        study.rehearsals().forEach(rehearsal -> tripped.addAll(rehearsal.tripped()));
        Set<String> everDriven = new LinkedHashSet<>();
        Set<String> everAfter = new LinkedHashSet<>();
        study.rehearsals().forEach(rehearsal -> {
            everDriven.addAll(rehearsal.held());
            everDriven.addAll(rehearsal.after());
            everAfter.addAll(rehearsal.after());
        });
        for (Part motor : study.parts(Family.MOTOR).toList()) {
            if (!everDriven.contains(motor.tag())) {
                findings.add(
                        new Finding(
                                "nothing-starts",
                                Severity.ERROR,
                                List.of(motor.tag()),
                                "Nothing that can be pressed, turned or actuated by itself starts " + motor.tag() + ".",
                                "Two starts in series each do nothing alone; a break anywhere between the rails does the same."));
            } else if (!everAfter.contains(motor.tag()) && !tripped.isEmpty()) {
                findings.add(new Finding(
                        "trips-when-tried",
                        Severity.ERROR,
                        List.of(List.copyOf(tripped).get(0), motor.tag()),
                        Words.and(tripped) + " trips soon after " + motor.tag() + " is started, at its nominal load.",
                        "Look at what the motor gets: a winding with both its ends on one line, a phase too few, the wrong"
                                + " connection, or a setting far below the motor's current."));
            } else if (!everAfter.contains(motor.tag())
                    && study.assembly().sheet().duty() == Duty.MAINTAINED) {
                findings.add(doesNotHold(study, motor.tag()));
            }
        }
        return findings;
    }

    private static Finding doesNotHold(Study study, String motor) {
        String start = study.rehearsals().stream()
                .filter(rehearsal -> rehearsal.held().contains(motor))
                .flatMap(rehearsal -> rehearsal.start().stream())
                .findFirst()
                .orElse("the start");
        return new Finding(
                "start-does-not-hold",
                Severity.ERROR,
                List.of(start, motor),
                motor + " runs only as long as " + start + " is held.",
                "The sheet's duty is maintained: an open contact of the contactor itself goes in parallel to the start, behind"
                        + " the stops.");
    }
}
