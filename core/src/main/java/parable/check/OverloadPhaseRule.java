package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Heater;
import parable.parts.Part;

/**
 * {@code insensitive-to-lost-line}: a thermal release for a three-phase motor that does not trip sooner when a line is lost (IEC 60947-4-1, 8.2.1.5.2).
 * {@code two-motors-one-release}: a release that carries two motors together, so that neither is protected by itself.
 */
final class OverloadPhaseRule implements Rule {

    static final String CODE = "insensitive-to-lost-line";

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        List<Part> releases = study.assembly().parts().stream()
                .filter(part -> part.heater().isPresent())
                .toList();
        if (releases.isEmpty()) {
            return findings;
        }
        RunningWays ways = study.runningWays();
        for (Part release : releases) {
            List<RunningWays.Carried> carried = ways.through(release);
            if (!carried.isEmpty()
                    && !release.heater().map(Heater::phaseLossSensitive).orElse(true)) {
                findings.add(insensitive(release));
            }
            carried.stream()
                    .filter(one -> one.motors().size() > 1)
                    .findFirst()
                    .ifPresent(one -> findings.add(together(release, one)));
        }
        return findings;
    }

    private static Finding insensitive(Part release) {
        return new Finding(
                CODE,
                Severity.WARNING,
                List.of(release.tag()),
                release.tag() + " does not feel a lost line.",
                "With one fuse blown a motor takes more current in the two lines that are left; a release that is not made"
                        + " for that trips late. Take one that is sensitive to phase loss.");
    }

    private static Finding together(Part release, RunningWays.Carried carried) {
        List<String> tags = carried.motors().stream().map(Part::tag).toList();
        List<String> where = new ArrayList<>(List.of(release.tag()));
        where.addAll(tags);
        return new Finding(
                "two-motors-one-release",
                Severity.WARNING,
                where,
                release.tag() + " carries the current of " + String.join(" and ", tags) + " together.",
                "One of them may burn while the other runs light, and the release feels only the sum. Each motor has a"
                        + " release of its own.");
    }
}
