package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import parable.network.Solution;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;

/**
 * What is said of a transformer or a DC supply that feeds coils, lamps or horns. {@code grounded-side-without-conductor} and {@code floating-supply}: a first
 * earth fault goes unseen (IEC 60204-1, 9.4.3.1). {@code transformer-too-small}: what it feeds takes more than it is rated for, or the last coil that pulls
 * in takes it down (IEC 61558-2-2). {@code supply-too-small}: a DC supply cannot give what it feeds. {@code secondary-unprotected}: no fuse between it and what it feeds (IEC 60204-1, 7.2.4; NFPA 79, 7.2.7).
 */
final class ConverterRule implements Rule {

    /** What is to be left of its voltage while the last coil pulls in: a coil needs 85 %, and the wires to it take some. */
    private static final double LEAST_SHARE = 0.9;

    private static final String MARKING = "PE";

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        study.parts(Family.CONVERTER).forEach(part -> part.sources().stream()
                .filter(source -> source.following().isPresent())
                .filter(source -> source.following().get().law() != Source.Law.RECTIFIED)
                .forEach(source -> findings(study, part, source, findings)));
        return findings;
    }

    private static void findings(Study study, Part part, Source source, List<Finding> findings) {
        Solution closed = study.joints(study.closed((one, contact) -> true));
        Solution unprotected = study.joints(study.closed(
                (one, contact) -> !contact.pole() || one.family() != Family.BREAKER && one.family() != Family.FUSE));
        int live = study.node(part, source.live());
        List<Load> fed = controls(study, closed, live).toList();
        if (fed.isEmpty()) {
            return;
        }
        if (!source.grounded()) {
            findings.add(floats(part, source));
        } else if (!isEarthed(study, part)) {
            findings.add(notLinked(part, source));
        }
        double amperes = fed.stream().mapToDouble(ConverterRule::voltAmperes).sum()
                / source.rated().volts();
        if (source.following().get().law() == Source.Law.REGULATED && amperes > ratedAmperes(part)) {
            findings.add(asksTooMuch(part, amperes));
        }
        boolean transformer = source.following().get().law() == Source.Law.IN_PROPORTION;
        if (transformer) {
            double rated = voltAmperes(part.loads().get(source.following().get().load()));
            double taken = fed.stream().mapToDouble(ConverterRule::voltAmperes).sum();
            double share = leastShare(source, fed);
            if (taken > rated || share < LEAST_SHARE) {
                findings.add(tooSmall(part, rated, taken, share));
            }
            if (controls(study, unprotected, live).findAny().isPresent()) {
                findings.add(unprotected(part));
            }
        }
    }

    /** The coils, lamps and horns that a conductor leads to. */
    private static Stream<Load> controls(Study study, Solution joints, int live) {
        return study.assembly().parts().stream().flatMap(part -> part.loads().stream()
                .filter(load ->
                        load.role() == LoadRole.COIL || load.role() == LoadRole.LAMP || load.role() == LoadRole.HORN)
                .filter(load -> joints.joined(study.node(part, load.from()), live)
                        || joints.joined(study.node(part, load.to()), live)));
    }

    private static double voltAmperes(Load load) {
        double volts = load.rated().volts();
        return volts * volts / Math.hypot(load.ohms(), load.reactance());
    }

    /** What is left of the voltage of a transformer while everything is on and the largest coil pulls in. */
    private static double leastShare(Source source, List<Load> fed) {
        double watts = fed.stream()
                .mapToDouble(load -> load.watts(load.rated().volts()))
                .sum();
        double vars = fed.stream()
                .mapToDouble(load -> load.vars(load.rated().volts()))
                .sum();
        return fed.stream()
                .filter(load -> load.role() == LoadRole.COIL && load.rated().kind() == CurrentKind.AC)
                .mapToDouble(load -> source.share(
                        watts
                                - load.watts(load.rated().volts())
                                + load.openWatts(load.rated().volts()),
                        vars
                                - load.vars(load.rated().volts())
                                + load.openVars(load.rated().volts())))
                .min()
                .orElse(source.share(watts, vars));
    }

    private static boolean isEarthed(Study study, Part part) {
        return study.parts(Family.SUPPLY)
                .filter(supply -> supply.bare().contains(MARKING))
                .anyMatch(supply -> study.node(supply, MARKING) == study.node(part, MARKING));
    }

    private static Finding floats(Part part, Source source) {
        return new Finding(
                "floating-supply",
                Severity.WARNING,
                List.of(part.tag()),
                "The control voltage of " + part.tag() + " floats: neither side is linked to earth.",
                "A first earth fault blows nothing and nobody sees it; a second can bridge a stop. Link "
                        + source.reference() + " to PE, or watch the insulation and say so on the sheet.");
    }

    private static Finding notLinked(Part part, Source source) {
        return new Finding(
                "grounded-side-without-conductor",
                Severity.DANGER,
                List.of(part.tag()),
                part.tag() + " is meant to have " + source.reference()
                        + " linked to earth, and no conductor leads to its PE.",
                "So it floats: a first earth fault blows nothing, a second can bridge a stop. A green-yellow conductor leads"
                        + " from its PE terminal to that of the supply.");
    }

    private static Finding tooSmall(Part part, double rated, double taken, double share) {
        return new Finding(
                "transformer-too-small",
                Severity.ERROR,
                List.of(part.tag()),
                String.format(
                        Locale.ROOT,
                        "%s is rated %.0f VA; the coils, lamps and horns behind it take %.0f VA together, and while the largest coil pulls in %.0f %% of its voltage are left.",
                        part.tag(),
                        rated,
                        taken,
                        100 * share),
                "The voltage sinks when a contactor is to pull in, and it chatters and burns its contacts, or stays out."
                        + " At least 90 % are to be left. Take a larger one.");
    }

    /** What a DC supply says that it gives, in A; without limit if it says nothing. */
    private static double ratedAmperes(Part part) {
        return part.device().figure("rated").orElse(Double.POSITIVE_INFINITY);
    }

    private static Finding asksTooMuch(Part part, double amperes) {
        return new Finding(
                "supply-too-small",
                Severity.ERROR,
                List.of(part.tag()),
                String.format(
                        Locale.ROOT,
                        "%s is rated %s; the coils, lamps and horns behind it take %.1f A together.",
                        part.tag(),
                        part.device().setting("rated").orElse("too little"),
                        amperes),
                "With all of it on, its voltage sinks and relays let go. Take a larger one.");
    }

    private static Finding unprotected(Part part) {
        return new Finding(
                "secondary-unprotected",
                Severity.WARNING,
                List.of(part.tag()),
                "No fuse is between " + part.tag() + " and what it feeds.",
                "A short in the control wiring burns the transformer before a fuse on its other side feels it. A fuse or breaker"
                        + " for its rated current belongs on X1.");
    }
}
