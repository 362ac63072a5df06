package parable.check;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * {@code changeover-split}: the common terminal of a changeover drawn on two wires, which it joins; {@code changeover-common}: both contacts of
 * a changeover used with the common terminal away from the supply.
 */
final class ChangeoverRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            for (String common : commons(part)) {
                split(study, part, common).ifPresent(findings::add);
                turned(study, part, common).ifPresent(findings::add);
            }
        }
        return findings;
    }

    /** The terminals that a closed and an open contact share. */
    private static Set<String> commons(Part part) {
        Set<String> commons = new LinkedHashSet<>();
        for (Contact one : part.contacts()) {
            for (Contact other : part.contacts()) {
                boolean pair = one.isNormallyClosed() && !other.isNormallyClosed() && !other.pole();
                if (pair && Set.of(other.from(), other.to()).contains(one.from())) {
                    commons.add(one.from());
                } else if (pair && Set.of(other.from(), other.to()).contains(one.to())) {
                    commons.add(one.to());
                }
            }
        }
        return commons;
    }

    private static Optional<Finding> split(Study study, Part part, String common) {
        Set<String> wires = new LinkedHashSet<>();
        study.assembly().sheet().rungs().forEach(rung -> addWires(rung, part, common, wires));
        return wires.size() < 2
                ? Optional.empty()
                : Optional.of(new Finding(
                        "changeover-split",
                        Severity.ERROR,
                        List.of(part.tag()),
                        part.tag() + ":" + common + " is drawn on the wires " + String.join(" and ", wires)
                                + ", and so it joins them.",
                        "The two contacts of a changeover share one screw; they are not two contacts. Where two are"
                                + " needed, use two."));
    }

    /** The points that a rung writes beside a terminal. */
    private static void addWires(Rung rung, Part part, String marking, Set<String> wires) {
        List<RungItem> items = rung.items();
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof RungItem.Passage passage
                    && passage.tag().equals(part.tag())) {
                if (passage.from().equals(marking) && i > 0) {
                    addWire(items.get(i - 1), wires);
                }
                if (passage.to().equals(marking) && i + 1 < items.size()) {
                    addWire(items.get(i + 1), wires);
                }
            }
        }
    }

    private static void addWire(RungItem item, Set<String> wires) {
        if (item instanceof RungItem.NamedPoint point) {
            wires.add(point.name());
        }
    }

    private static Optional<Finding> turned(Study study, Part part, String common) {
        long used = study.assembly()
                .sheet()
                .rungs()
                .flatMap(rung -> rung.items().stream())
                .filter(item -> item instanceof RungItem.Passage passage
                        && passage.tag().equals(part.tag())
                        && passage.to().equals(common))
                .distinct()
                .count();
        return used < 2
                ? Optional.empty()
                : Optional.of(new Finding(
                        "changeover-common",
                        Severity.WARNING,
                        List.of(part.tag()),
                        part.tag() + ":" + common + ", the common terminal, is on the side of the load.",
                        "Fed at its common terminal a changeover leads one wire to two places; the other way round it joins"
                                + " two feeds, which must then be of the same potential."));
    }
}
