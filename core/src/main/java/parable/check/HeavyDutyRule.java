package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Duty;
import parable.network.PowerPath;
import parable.parts.Family;
import parable.parts.Nameplate;
import parable.parts.Part;

/**
 * {@code jog-duty} and {@code plugging-duty}: a contactor by which a motor is jogged, or turned round while it runs, is neither rated twice what it carries nor
 * said to be made for that. Jogging breaks the starting current each time, plugging makes and breaks more than it (utilization category AC-4, IEC 60947-4-1,
 * table 1).
 */
final class HeavyDutyRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        PowerPath power = new PowerPath(study.assembly());
        Set<String> jogged = jogged(study);
        Set<String> plugged = new HashSet<>();
        study.trials().forEach(trial -> plugged.addAll(trial.mishaps().plugged()));
        for (Part contactor : study.switchingContactors().toList()) {
            double amperes = study.runningWays().through(contactor).stream()
                    .mapToDouble(RunningWays.Carried::amperes)
                    .max()
                    .orElse(0);
            if (amperes > 0 && !isMadeForIt(contactor, amperes)) {
                List<String> motors = List.copyOf(power.motorsFedBy(contactor));
                List<String> byJogging =
                        motors.stream().filter(jogged::contains).toList();
                List<String> byPlugging = motors.stream()
                        .filter(motor -> plugged.contains(motor) && study.drivesAlone(contactor))
                        .toList();
                if (!byJogging.isEmpty()) {
                    findings.add(jogging(contactor, byJogging, amperes));
                } else if (!byPlugging.isEmpty()) {
                    findings.add(plugging(contactor, byPlugging, amperes));
                }
            }
        }
        return findings;
    }

    /** The tags of the motors that are jogged, or turned round while they run. */
    static Set<String> heavy(Study study) {
        Set<String> heavy = jogged(study);
        study.trials().forEach(trial -> heavy.addAll(trial.mishaps().plugged()));
        return heavy;
    }

    /** The motors that some button drives only while it is held; where no start holds although it should, that is told instead. */
    private static Set<String> jogged(Study study) {
        Set<String> held = new HashSet<>();
        Set<String> stays = new HashSet<>();
        for (StartTrial trial : study.trials()) {
            boolean button = trial.start()
                    .flatMap(study.assembly()::part)
                    .filter(part -> part.family() == Family.PUSH_BUTTON)
                    .isPresent();
            stays.addAll(trial.after());
            if (button && trial.tripped().isEmpty() && trial.shortedBy().isEmpty()) {
                Set<String> released = new HashSet<>(trial.held());
                released.removeAll(trial.after());
                released.removeAll(trial.shortly());
                held.addAll(released);
            }
        }
        if (study.assembly().sheet().duty() == Duty.MAINTAINED) {
            held.retainAll(stays);
        }
        return held;
    }

    private static boolean isMadeForIt(Part contactor, double amperes) {
        return rated(contactor)
                .filter(rated -> rated >= HeavyDuty.leastRating(contactor, amperes))
                .isPresent();
    }

    private static Optional<Double> rated(Part contactor) {
        return contactor.device().figure("rated");
    }

    private static Finding jogging(Part contactor, List<String> motors, double amperes) {
        return finding(
                "jog-duty",
                contactor,
                Words.and(motors),
                "jogged",
                amperes,
                "Each jog breaks the starting current, six to eight times the rated one.");
    }

    private static Finding plugging(Part contactor, List<String> motors, double amperes) {
        return finding(
                "plugging-duty",
                contactor,
                Words.and(motors),
                "turned round while it runs",
                amperes,
                "A motor that is turned round while it runs takes more than its starting current.");
    }

    private static Finding finding(
            String code, Part contactor, String motors, String how, double amperes, String because) {
        String carries = Nameplate.figure(Math.round(amperes * 10) / 10.0) + " A";
        return new Finding(
                code,
                Severity.WARNING,
                List.of(contactor.tag()),
                rated(contactor)
                        .map(rated -> contactor.tag() + " is rated " + Nameplate.figure(rated) + " A, and " + motors
                                + " is " + how + " by it with " + carries + ".")
                        .orElse(motors + " is " + how + " by " + contactor.tag() + ", and nothing says what "
                                + contactor.tag() + " is rated."),
                because + " A contactor lasts if it is rated twice what the motor takes (" + carries
                        + "), or is made for that (AC-4).");
    }
}
