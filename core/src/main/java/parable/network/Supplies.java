package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.Part;
import parable.parts.Source;

/**
 * The supplies of a sheet, each a source of its own, and whether contacts ever give two of them a common point. That is no short circuit
 * where one of them floats, and yet a disaster: the higher voltage is then on everything that the lower one feeds.
 *
 * <p>Meant to be joined is only what the wires alone join, and there only references (neutral, X2, minus, or what is on earth), or the same
 * sides of two supplies of one voltage that work in parallel. A rectifier is no supply of its own, for its diodes tie it to its input; what
 * must not be on its output is a short circuit.
 */
public final class Supplies {

    private final CompiledBranches branches;
    private final List<Pole> poles = new ArrayList<>();
    private final int earth;
    private final Clusters wires;

    /** A terminal of a supply. */
    private record Pole(Part part, Source source, boolean reference, int node) {

        /** Whether a wire between the two is meant: both are references, or both the same side of the same voltage. */
        private boolean isMeantToMeet(Pole other) {
            return reference && other.reference
                    || reference == other.reference
                            && source.rated().equals(other.source.rated())
                            && source.following().isPresent()
                            && other.source.following().isPresent();
        }
    }

    /**
     * Two supplies with a common point.
     *
     * @param one the terminal of the one, for example {@code G1:L1}
     * @param other the terminal of the other
     */
    public record Joint(String one, String other) {}

    /** The supplies of a network. */
    public Supplies(Network network) {
        branches = network.compiled();
        earth = network.earth();
        wires = Clusters.of(branches, new BitSet());
        List<Part> parts = network.assembly().parts();
        for (int p = 0; p < parts.size(); p++) {
            for (int s = 0; s < parts.get(p).sources().size(); s++) {
                Source source = parts.get(p).sources().get(s);
                if (isRectifier(source)) {
                    continue;
                }
                int number = network.source(p, s);
                poles.add(new Pole(parts.get(p), source, true, branches.sourceFrom()[number]));
                poles.add(new Pole(parts.get(p), source, false, branches.sourceTo()[number]));
            }
        }
    }

    private static boolean isRectifier(Source source) {
        return source.following()
                .filter(following -> following.law() == Source.Law.RECTIFIED)
                .isPresent();
    }

    /** Whether there are two of them at all. */
    public boolean areSeveral() {
        Set<String> tags = new LinkedHashSet<>();
        poles.forEach(pole -> tags.add(pole.part().tag()));
        return tags.size() > 1;
    }

    /**
     * The first two that these contacts, or wires that are not meant to, give a common point; empty if none have one.
     *
     * @param closed the numbers of the closed contacts; not modified
     */
    public Optional<Joint> joined(BitSet closed) {
        Clusters copper = Clusters.of(branches, closed);
        for (int i = 0; i < poles.size(); i++) {
            for (int j = i + 1; j < poles.size(); j++) {
                Pole one = poles.get(i);
                Pole other = poles.get(j);
                boolean meet = !one.part().equals(other.part()) && copper.of(one.node()) == copper.of(other.node());
                if (meet && !isMeant(one, other)) {
                    return Optional.of(new Joint(name(one), name(other)));
                }
            }
        }
        return Optional.empty();
    }

    /** Whether the wires alone join two poles, and may; two on earth are always meant. */
    private boolean isMeant(Pole one, Pole other) {
        boolean wired = wires.of(one.node()) == wires.of(other.node());
        boolean earthed = wires.of(one.node()) == wires.of(earth) && wired;
        return earthed || wired && one.isMeantToMeet(other);
    }

    private static String name(Pole pole) {
        return pole.part().tag() + ":"
                + (pole.reference() ? pole.source().reference() : pole.source().live());
    }
}
