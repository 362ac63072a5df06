package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/** {@code stops-by-open-contact}: a trip or an E-stop that acts on a coil through an open contact. */
final class OpenStopRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Rung rung : study.assembly().sheet().control()) {
            if (feedsCoil(study, rung)) {
                for (RungItem item : rung.items()) {
                    if (item instanceof RungItem.Passage passage && isOpenStop(study, passage)) {
                        findings.add(finding(passage));
                    }
                }
            }
        }
        return findings;
    }

    private static Finding finding(RungItem.Passage passage) {
        return new Finding(
                "stops-by-open-contact",
                Severity.DANGER,
                List.of(passage.tag()),
                passage.tag() + " acts on a coil through its open contact " + passage.from() + "-" + passage.to() + ".",
                "A wire that comes off there goes unnoticed, and from then on it stops nothing. What stops is wired through a"
                        + " closed contact, so that a broken wire stops too.");
    }

    private static boolean isOpenStop(Study study, RungItem.Passage passage) {
        Part part = study.assembly().part(passage.tag()).orElseThrow();
        return (part.family() == Family.OVERLOAD_RELAY || part.family() == Family.EMERGENCY_STOP)
                && part.contactBetween(passage.from(), passage.to())
                        .map(contact -> part.contacts().get(contact))
                        .filter(contact -> !contact.pole() && !contact.isNormallyClosed())
                        .isPresent();
    }

    private static boolean feedsCoil(Study study, Rung rung) {
        return rung.items().stream().anyMatch(item -> {
            if (!(item instanceof RungItem.Passage passage)) {
                return false;
            }
            Part part = study.assembly().part(passage.tag()).orElseThrow();
            return part.drive() instanceof Drive.ByCoil
                    && part.loadBetween(passage.from(), passage.to()).isPresent();
        });
    }
}
