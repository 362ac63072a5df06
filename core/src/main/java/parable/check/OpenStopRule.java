package parable.check;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.network.ControlPath;
import parable.network.PowerPath;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/** {@code stops-by-open-contact}: a trip or an E-stop that acts on a coil through an open contact. */
final class OpenStopRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Rung rung : study.assembly().sheet().control()) {
            Set<String> coils = coils(study, rung);
            if (!coils.isEmpty()) {
                for (RungItem item : rung.items()) {
                    if (item instanceof RungItem.Passage passage
                            && isOpenStop(study, passage)
                            && !startsAnother(study, passage.tag(), coils)) {
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

    /** Whether none of these coils has to do with a motor that it should stop: then it starts a standby, or tells, and stops nothing. */
    private static boolean startsAnother(Study study, String tag, Set<String> coils) {
        Part stop = study.assembly().part(tag).orElseThrow();
        PowerPath power = new PowerPath(study.assembly());
        ControlPath control = new ControlPath(study.assembly());
        Set<String> own = stop.family() == Family.OVERLOAD_RELAY
                ? power.motorsBehind(stop)
                : study.parts(Family.MOTOR).map(Part::tag).collect(Collectors.toSet());
        return coils.stream().allMatch(coil -> {
            Part relay = study.assembly().part(coil).orElseThrow();
            return Collections.disjoint(power.motorsFedBy(relay), own)
                    && Collections.disjoint(control.motorsOf(relay), own);
        });
    }

    private static Set<String> coils(Study study, Rung rung) {
        Set<String> coils = new LinkedHashSet<>();
        for (RungItem item : rung.items()) {
            if (item instanceof RungItem.Passage passage) {
                Part part = study.assembly().part(passage.tag()).orElseThrow();
                if (part.drive() instanceof Drive.ByCoil
                        && part.loadBetween(passage.from(), passage.to()).isPresent()) {
                    coils.add(part.tag());
                }
            }
        }
        return coils;
    }
}
