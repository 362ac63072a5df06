package parable.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import parable.parts.Part;

/**
 * {@code overload-setting}: a thermal release that is set far from what flows through it where it is, in the ways in which its motor runs at full voltage:
 * in the leads of a delta that is the current in the line over root 3. At most 125 % is allowed by North American practice (NFPA 70, 430.32), IEC wants
 * the rated current itself.
 */
final class OverloadSettingRule implements Rule {

    private static final double MOST = 1.25;
    private static final double LEAST = 0.75;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        List<Part> releases = study.assembly().parts().stream()
                .filter(part -> part.heater().isPresent())
                .toList();
        if (!releases.isEmpty()) {
            RunningWays ways = study.runningWays();
            releases.forEach(release -> look(release, ways.through(release), findings));
        }
        return findings;
    }

    private static void look(Part release, List<RunningWays.Carried> carried, List<Finding> findings) {
        if (carried.isEmpty()) {
            return;
        }
        RunningWays.Carried least = carried.stream()
                .min(Comparator.comparingDouble(RunningWays.Carried::amperes))
                .orElseThrow();
        RunningWays.Carried most = carried.stream()
                .max(Comparator.comparingDouble(RunningWays.Carried::amperes))
                .orElseThrow();
        double set = release.heater().orElseThrow().setting();
        if (set > MOST * least.amperes()) {
            findings.add(finding(release, least, "Set so high it lets the motor burn before it trips."));
        } else if (set < LEAST * most.amperes()) {
            findings.add(finding(release, most, "Set so low it trips in ordinary work."));
        }
    }

    private static Finding finding(Part release, RunningWays.Carried carried, String why) {
        Set<String> tags = carried.motors().stream().map(Part::tag).collect(Collectors.toCollection(TreeSet::new));
        List<String> about = new ArrayList<>(List.of(release.tag()));
        about.addAll(tags);
        return new Finding(
                "overload-setting",
                Severity.WARNING,
                about,
                String.format(
                        Locale.ROOT,
                        "%s is set to %.1f A, and where it is %.1f A flow at the rated load of %s.",
                        release.tag(),
                        release.heater().orElseThrow().setting(),
                        carried.amperes(),
                        String.join(" and ", tags)),
                why + " In the leads of a delta flows the current of the line divided by 1.73. The current is that of"
                        + " the motor's nameplate if it is noted, else the usual one for its power.");
    }
}
