package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import parable.parts.Catalogue;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartKind;

/**
 * {@code unknown-setting}: a setting that a kind of device does not have, such as one that is misspelt; it does nothing. {@code estop-springs-back}: a button
 * that is called E-stop and is none: it does not stay in (IEC 60947-5-5).
 */
final class DeviceSettingRule implements Rule {

    private static final Pattern EMERGENCY = Pattern.compile(".*\\b(e-?stop|emergency).*");

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            settings(part).forEach(setting -> kind(part)
                    .filter(kind -> !kind.settings().contains(setting))
                    .ifPresent(kind -> findings.add(unknown(part, kind, setting))));
            boolean springs = part.family() == Family.PUSH_BUTTON
                    && EMERGENCY
                            .matcher(part.device().label().toLowerCase(Locale.ROOT))
                            .matches();
            if (springs) {
                findings.add(new Finding(
                        "estop-springs-back",
                        Severity.DANGER,
                        List.of(part.tag()),
                        part.tag() + " is called an E-stop and is a push button that springs back.",
                        "An E-stop stays in until somebody lets it go on purpose. Take the device of that kind."));
            }
        }
        return findings;
    }

    /** What is written on a device, known to its kind or not. */
    private static Stream<String> settings(Part part) {
        return Stream.concat(
                part.device().settings().keySet().stream(), part.device().extras().fields().keySet().stream());
    }

    private static Optional<PartKind> kind(Part part) {
        return Catalogue.kinds().stream()
                .filter(kind -> kind.id().equals(part.device().kind()))
                .findFirst();
    }

    private static Finding unknown(Part part, PartKind kind, String setting) {
        return new Finding(
                "unknown-setting",
                Severity.WARNING,
                List.of(part.tag()),
                part.tag() + " has a setting '" + setting + "' that a "
                        + kind.id().replace('-', ' ') + " does not have.",
                kind.settings().isEmpty()
                        ? "It has no settings. What is written there does nothing."
                        : "It has " + String.join(", ", kind.settings())
                                + ". What is misspelt does nothing, nor what only a later version knows.");
    }
}
