package parable.check;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import parable.circuit.Duty;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/**
 * {@code start-does-not-hold}, {@code nothing-starts}, {@code starts-in-series} and {@code trips-when-tried}: what a maintained duty asks of a start. Where
 * something is shorted that is told instead.
 */
final class StartRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        boolean shorted =
                study.trials().stream().anyMatch(trial -> trial.shortedBy().isPresent());
        if (shorted) {
            return findings;
        }
        Set<String> tripped = new LinkedHashSet<>();
        study.trials().forEach(trial -> tripped.addAll(trial.tripped()));
        Set<String> everDriven = new LinkedHashSet<>();
        Set<String> everAfter = new LinkedHashSet<>();
        Set<String> everShortly = new LinkedHashSet<>();
        study.trials().forEach(trial -> {
            everDriven.addAll(trial.held());
            everDriven.addAll(trial.after());
            everShortly.addAll(trial.shortly());
            everAfter.addAll(trial.after());
        });
        study.trials().forEach(trial -> inSeries(study, trial, findings));
        for (Part motor : study.parts(Family.MOTOR).toList()) {
            if (!everDriven.contains(motor.tag())) {
                findings.add(new Finding(
                        "nothing-starts",
                        Severity.ERROR,
                        List.of(motor.tag()),
                        "Nothing that can be pressed, turned or actuated starts " + motor.tag() + ".",
                        "Tried with every switch of the machine actuated, with something reset or started before, and with two buttons held"
                                + " together. A break anywhere between the rails does that."));
            } else if (!everAfter.contains(motor.tag()) && !tripped.isEmpty()) {
                findings.add(new Finding(
                        "trips-when-tried",
                        Severity.ERROR,
                        List.of(List.copyOf(tripped).get(0), motor.tag()),
                        Words.and(tripped) + " trips soon after " + motor.tag() + " is started, at its nominal load.",
                        "Look at what the motor gets: a winding with both its ends on one line, a phase too few, the wrong"
                                + " connection, or a setting far below the motor's current."));
            } else if (!everAfter.contains(motor.tag())
                    && !(everShortly.contains(motor.tag()) && hasThreeLeads(motor))
                    && study.assembly().sheet().duty() == Duty.MAINTAINED) {
                findings.add(doesNotHold(study, motor.tag()));
            }
        }
        return findings;
    }

    /** Two buttons that must be held together are right for two hands, and a mistake where either alone is to start. */
    private static void inSeries(Study study, StartTrial trial, List<Finding> findings) {
        boolean twoHands = study.assembly().sheet().duty() == Duty.JOGGING;
        if (!trial.besides().isEmpty() && !trial.held().isEmpty() && !twoHands) {
            List<String> buttons = new ArrayList<>(trial.besides());
            buttons.add(trial.start().orElseThrow());
            buttons.sort(null);
            Finding finding = new Finding(
                    "starts-in-series",
                    Severity.WARNING,
                    buttons,
                    Words.and(buttons) + " start " + Words.and(trial.held()) + " only when they are held together.",
                    "That is right for a start with two hands. Where each alone is to start, they go in parallel.");
            if (!findings.contains(finding)) {
                findings.add(finding);
            }
        }
    }

    /** One with six leads that stops by itself has lost its way from star to delta; one with three may be meant to run for a time. */
    private static boolean hasThreeLeads(Part motor) {
        return motor.loads().stream().allMatch(Load::endsAtStarPoint);
    }

    private static Finding doesNotHold(Study study, String motor) {
        String start = study.trials().stream()
                .filter(trial -> trial.held().contains(motor))
                .flatMap(trial -> trial.start().stream())
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
