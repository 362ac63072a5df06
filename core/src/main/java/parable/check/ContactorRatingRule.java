package parable.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import parable.parts.Nameplate;
import parable.parts.Part;

/**
 * {@code contactor-too-small}: a contactor rated below what flows through its poles while its motors run at full voltage (IEC 60947-4-1, AC-3). One that says nothing
 * of its rating is not looked at; what jogs or plugs has a rule of its own.
 */
final class ContactorRatingRule implements Rule {

    /** A dial or a plate is read no finer. */
    private static final double ROUNDING = 1.01;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        study.switchingContactors().forEach(contactor -> {
            Optional<Double> rated = contactor.device().figure("rated");
            Optional<RunningWays.Carried> carried = study.runningWays().through(contactor).stream()
                    .max(Comparator.comparingDouble(RunningWays.Carried::amperes));
            if (rated.isPresent()
                    && carried.filter(way -> way.amperes() > ROUNDING * rated.get())
                            .isPresent()) {
                findings.add(finding(contactor, rated.get(), carried.orElseThrow()));
            }
        });
        return findings;
    }

    private static Finding finding(Part contactor, double rated, RunningWays.Carried carried) {
        List<String> motors = carried.motors().stream().map(Part::tag).toList();
        List<String> where = new ArrayList<>(List.of(contactor.tag()));
        where.addAll(motors);
        return new Finding(
                "contactor-too-small",
                Severity.ERROR,
                where,
                contactor.tag() + " is rated " + Nameplate.figure(rated) + " A, and through it flow "
                        + Nameplate.figure(Math.round(carried.amperes() * 10) / 10.0) + " A at rated load of "
                        + Words.and(motors) + ".",
                "Its contacts wear or weld long before their time. Take the next larger; Size says which.");
    }
}
