package parable.check;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code ahead-of-main-switch}: something is live while everything that takes the motors off their supply is open, and no comment on the drawing calls it an excepted
 * circuit (IEC 60204-1, 5.3.5; NFPA 79, 5.3.5: excepted circuits are marked, and their wires are orange).
 */
final class ExceptedCircuitRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Part> mains = study.switchesBeforeMotors();
        if (mains.isEmpty() || isMarked(study.assembly().sheet())) {
            return List.of();
        }
        Solution open = study.joints(study.closed((part, contact) -> !contact.pole() || !mains.contains(part)));
        List<String> ahead = study.assembly().parts().stream()
                .filter(part -> part.family() != Family.MOTOR)
                .filter(part -> part.loads().stream()
                        .filter(load -> load.role() != LoadRole.WINDING)
                        .flatMap(load -> Stream.of(load.from(), load.to()))
                        .anyMatch(marking -> study.isJoinedWithLine(open, study.node(part, marking))))
                .map(Part::tag)
                .toList();
        return ahead.isEmpty() ? List.of() : List.of(finding(mains, ahead));
    }

    private static boolean isMarked(Sheet sheet) {
        return Stream.concat(sheet.control().stream(), sheet.power().stream()).anyMatch(Rung::isExcepted);
    }

    private static Finding finding(List<Part> mains, List<String> ahead) {
        String switches = mains.stream().map(Part::tag).sorted().collect(Collectors.joining(" and "));
        return new Finding(
                "ahead-of-main-switch",
                Severity.WARNING,
                ahead,
                String.join(", ", ahead) + (ahead.size() == 1 ? " is" : " are") + " still live when " + switches
                        + " is open.",
                "Whoever opens it takes the panel for dead. Take the control supply behind it, or write \"excepted circuit\" on its rung, use orange wire"
                        + " and put a warning plate at the switch.");
    }
}
