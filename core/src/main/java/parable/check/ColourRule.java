package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code operator-colour} and {@code lamp-colour}: colours that the job's code does not allow for what the operator or lamp does. Parts without a
 * colour are left alone.
 */
final class ColourRule implements Rule {

    private static final String COLOUR = "colour";

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        study.parts(Family.PUSH_BUTTON)
                .forEach(button -> button(study.colours(), button).ifPresent(findings::add));
        study.parts(Family.EMERGENCY_STOP)
                .forEach(stop -> operator(study.colours(), stop, ColourUse.EMERGENCY_STOP, "is an E-stop")
                        .ifPresent(findings::add));
        study.parts(Family.PILOT_LAMP).forEach(lamp -> lamp(study, lamp).ifPresent(findings::add));
        return findings;
    }

    private static Optional<String> colour(Part part) {
        return part.device().setting(COLOUR);
    }

    private static Optional<Finding> button(ColourCode code, Part button) {
        if (button.contacts().stream().allMatch(Contact::isNormallyClosed)) {
            return operator(code, button, ColourUse.STOP, "stops");
        }
        boolean other = colour(button)
                .filter(colour -> code.allows(ColourUse.OTHER, colour))
                .isPresent();
        return other || button.contacts().stream().anyMatch(Contact::isNormallyClosed)
                ? Optional.empty()
                : operator(code, button, ColourUse.START, "starts");
    }

    private static Optional<Finding> operator(ColourCode code, Part part, ColourUse use, String does) {
        return colour(part)
                .filter(colour -> !code.allows(use, colour))
                .map(colour -> new Finding(
                        "operator-colour",
                        Severity.WARNING,
                        List.of(part.tag()),
                        part.tag() + " " + does + " and is " + colour + "; expected " + expected(code, use) + ".",
                        "In a hurry the hand goes by colour. Red is for stopping, green never stops."));
    }

    private static String expected(ColourCode code, ColourUse use) {
        List<String> colours = code.colours(use);
        return colours.isEmpty() ? "none, by the colours of this job" : Words.or(colours);
    }

    private static Optional<Finding> lamp(Study study, Part lamp) {
        boolean wired = !lamp.loads().isEmpty()
                && study.isWired(lamp, lamp.loads().get(0).from())
                && study.isWired(lamp, lamp.loads().get(0).to());
        return wired ? colour(lamp).flatMap(colour -> lamp(study, lamp, colour)) : Optional.empty();
    }

    private static Optional<Finding> lamp(Study study, Part lamp, String colour) {
        ColourCode code = study.colours();
        Stream<Optional<Finding>> told = Stream.of();
        if (!code.allows(ColourUse.TRIPPED, colour)) {
            told = study.parts(Family.OVERLOAD_RELAY)
                    .filter(release -> isNear(study, release, lamp))
                    .filter(release -> study.isLitBy(lamp, release, 1))
                    .map(release -> finding(lamp, release, colour, ColourUse.TRIPPED, "has tripped", code));
        }
        if (!code.allows(ColourUse.RUNNING, colour)) {
            told = Stream.concat(
                    told,
                    runs(study, lamp, 1)
                            .map(starter -> finding(lamp, starter, colour, ColourUse.RUNNING, "is in", code)));
        }
        if (!code.allows(ColourUse.STOPPED, colour)) {
            told = Stream.concat(
                    told,
                    runs(study, lamp, 0)
                            .map(starter -> finding(lamp, starter, colour, ColourUse.STOPPED, "is out", code)));
        }
        return told.flatMap(Optional::stream).findFirst();
    }

    /** The contactors that drive a motor and in a position of which alone a lamp is lit. */
    private static Stream<Part> runs(Study study, Part lamp, int position) {
        return study.switchingContactors()
                .filter(contactor -> isNear(study, contactor, lamp))
                .filter(study::drivesAlone)
                .filter(contactor -> study.isLitBy(lamp, contactor, position));
    }

    private static Optional<Finding> finding(
            Part lamp, Part teller, String colour, ColourUse use, String does, ColourCode code) {
        return Optional.of(new Finding(
                "lamp-colour",
                Severity.WARNING,
                List.of(lamp.tag(), teller.tag()),
                lamp.tag() + " is lit when " + teller.tag() + " " + does + " and is " + colour + "; expected "
                        + expected(code, use) + ".",
                "Whoever comes to the door reads the colour before the label. What colours say in this job is agreed on under"
                        + " View, Colours."));
    }

    /** Whether a part has a terminal on a wire of a lamp that is no rail, so that it may well be what lights it. */
    private static boolean isNear(Study study, Part part, Part lamp) {
        List<String> rails = study.assembly().sheet().rails().stream()
                .map(rail -> rail.name())
                .toList();
        return lamp.terminals().stream()
                .flatMap(marking -> study.assembly().nodes().indexOf(new Terminal(lamp.tag(), marking)).stream())
                .map(index -> study.assembly().nodes().all().get(index))
                .filter(node -> node.names().stream().noneMatch(rails::contains))
                .anyMatch(node -> holds(node, part));
    }

    private static boolean holds(Node node, Part part) {
        return node.terminals().stream().anyMatch(terminal -> terminal.tag().equals(part.tag()));
    }
}
