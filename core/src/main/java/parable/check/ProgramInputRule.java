package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.circuit.Terminal;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** {@code plc-input-never-fed}: a wire lands on an input of a controller, and no contact leads to it from a source, whatever is closed. */
final class ProgramInputRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        BitSet all = study.closed((part, contact) -> true);
        study.parts(Family.CONTROLLER).forEach(controller -> controller.loads().stream()
                .filter(load -> load.role() == LoadRole.READING)
                .filter(load -> study.isWired(controller, load.from()))
                .filter(load -> !study.isFed(all, controller, load))
                .forEach(load -> findings.add(finding(controller, load))));
        return findings;
    }

    private static Finding finding(Part controller, Load input) {
        String terminal = new Terminal(controller.tag(), input.from()).toString();
        return new Finding(
                "plc-input-never-fed",
                Severity.WARNING,
                List.of(controller.tag(), input.from()),
                terminal + " is wired, and nothing leads to it from a supply.",
                "The program always reads 0 there. Bring the contact that it is to read, and its supply.");
    }
}
