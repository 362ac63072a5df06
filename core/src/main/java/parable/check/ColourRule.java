package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code operator-colour} and {@code lamp-colour}: colours that mean the contrary of what the operator or lamp does. Only what IEC 60204-1
 * and NFPA 79 agree on is looked at: red never starts, green never stops, an E-stop is red; a lamp that tells of a trip is neither green nor
 * white nor blue.
 */
final class ColourRule implements Rule {

    private static final String COLOUR = "colour";
    private static final Set<String> NOT_FOR_A_TRIP = Set.of("green", "white", "blue");

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        study.parts(Family.PUSH_BUTTON).forEach(button -> button(button).ifPresent(findings::add));
        study.parts(Family.EMERGENCY_STOP)
                .filter(stop -> !colour(stop, "red").equals("red"))
                .forEach(stop ->
                        findings.add(operator(stop, "is an E-stop and " + colour(stop, "red"), "red on yellow")));
        study.parts(Family.PILOT_LAMP)
                .filter(lamp -> NOT_FOR_A_TRIP.contains(colour(lamp, "")))
                .forEach(lamp -> study.parts(Family.OVERLOAD_RELAY)
                        .filter(release -> tellsOf(study, release, lamp))
                        .forEach(release -> findings.add(lamp(lamp, release))));
        return findings;
    }

    private static String colour(Part part, String unless) {
        return part.device().settings().getOrDefault(COLOUR, unless);
    }

    private static Optional<Finding> button(Part button) {
        boolean stops = button.contacts().stream().allMatch(Contact::isNormallyClosed);
        boolean starts = button.contacts().stream().noneMatch(Contact::isNormallyClosed);
        if (starts && colour(button, "").equals("red")) {
            return Optional.of(operator(button, "starts and is red", "white, grey, black or, by IEC, green"));
        }
        if (stops && colour(button, "").equals("green")) {
            return Optional.of(operator(button, "stops and is green", "red, black, grey or white"));
        }
        return Optional.empty();
    }

    private static Finding operator(Part part, String what, String expected) {
        return new Finding(
                "operator-colour",
                Severity.WARNING,
                List.of(part.tag()),
                part.tag() + " " + what + "; expected " + expected + ".",
                "In a hurry the hand goes by colour. Red is for stopping, green never stops.");
    }

    private static Finding lamp(Part lamp, Part release) {
        return new Finding(
                "lamp-colour",
                Severity.WARNING,
                List.of(lamp.tag(), release.tag()),
                lamp.tag() + " lights when " + release.tag() + " has tripped and is " + colour(lamp, "")
                        + "; expected yellow or red.",
                "Green, white and blue say that all is as it should be.");
    }

    /** Whether a lamp could be fed with this release tripped, all else at rest and switched on, and not while it is healthy. */
    private static boolean tellsOf(Study study, Part release, Part lamp) {
        if (lamp.loads().isEmpty()
                || !study.isWired(lamp, lamp.loads().get(0).from())
                || !study.isWired(lamp, lamp.loads().get(0).to())) {
            return false;
        }
        return study.isFed(standing(study, release, 1), lamp, lamp.loads().get(0))
                && !study.isFed(standing(study, release, 0), lamp, lamp.loads().get(0));
    }

    private static BitSet standing(Study study, Part release, int position) {
        return study.closed((part, contact) -> Study.isFeed(part, contact)
                || !contact.pole() && contact.closedAt(part.equals(release) ? position : part.initial()));
    }
}
