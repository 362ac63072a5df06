package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Terminal;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/**
 * {@code suppressor-missing}: a coil for direct current on a transistor output, with nothing that takes up its voltage when it is switched off. {@code coil-reversed}: one
 * with a diode across it that gets its plus at A2, so that the diode shorts the supply.
 */
final class SuppressorRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        study.relays()
                .filter(relay -> Study.coil(relay).rated().kind() == CurrentKind.DC)
                .filter(relay -> study.isWired(relay, Study.coil(relay).from()))
                .forEach(relay -> {
                    String suppressor = relay.device().setting("suppressor").orElse("none");
                    if (suppressor.equals("diode") && isReversed(study, relay)) {
                        findings.add(reversed(relay));
                    }
                    if (suppressor.equals("none")) {
                        transistorAt(study, relay)
                                .map(controller -> missing(relay, controller))
                                .ifPresent(findings::add);
                    }
                });
        return findings;
    }

    private static boolean isReversed(Study study, Part relay) {
        Terminal plus = new Terminal(relay.tag(), Study.coil(relay).from());
        return study.trials().stream()
                .flatMap(trial -> Optional.ofNullable(trial.voltages().get(plus)).stream())
                .map(Potential::direct)
                .anyMatch(volts -> volts < -Study.coil(relay).rated().volts() / 2);
    }

    /** The controller with transistor outputs one of which leads to the coil, whatever contacts are between. */
    private static Optional<Part> transistorAt(Study study, Part relay) {
        Load coil = Study.coil(relay);
        Solution joints = study.joints(study.closed((part, contact) -> !contact.pole() && !contact.output()));
        return study.parts(Family.CONTROLLER)
                .filter(controller ->
                        controller.device().setting("output").orElse("relay").equals("transistor"))
                .filter(controller -> controller.contacts().stream()
                        .filter(Contact::output)
                        .map(Contact::to)
                        .filter(marking -> study.isWired(controller, marking))
                        .map(marking -> study.node(controller, marking))
                        .anyMatch(node -> joints.joined(node, study.node(relay, coil.from()))))
                .findFirst();
    }

    private static Finding missing(Part relay, Part controller) {
        return new Finding(
                "suppressor-missing",
                Severity.WARNING,
                List.of(relay.tag(), controller.tag()),
                relay.tag() + "'s coil is on a transistor output of " + controller.tag() + " and has no suppressor.",
                "When it is switched off a coil makes hundreds of volts, which kill the transistor sooner or later. Put a diode across the coil,"
                        + " its cathode at the plus.");
    }

    private static Finding reversed(Part relay) {
        Load coil = Study.coil(relay);
        return new Finding(
                "coil-reversed",
                Severity.ERROR,
                List.of(relay.tag()),
                relay.tag() + " has a diode across its coil and gets its plus at " + coil.to() + " instead of "
                        + coil.from() + ".",
                "That way round the diode conducts and shorts the supply as soon as the coil is switched on. Exchange the two wires of the coil.");
    }
}
