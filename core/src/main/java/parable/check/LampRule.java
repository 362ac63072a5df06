package parable.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code lamp-never-lights}: a lamp or horn to which no way leads from a source and back on which each device is in one position only, such as a lamp behind a breaker
 * that is to tell that this breaker is open. What coils do is not followed; so a lamp that only they keep dark is not found here.
 */
final class LampRule implements Rule {

    /** So many steps are tried for a lamp; one for which they do not suffice is taken for one that lights. */
    private static final int MOST_STEPS = 20_000;

    @Override
    public List<Finding> findings(Study study) {
        Ways ways = new Ways(study.assembly());
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            for (Load load : part.loads()) {
                boolean tells = load.role() == LoadRole.LAMP || load.role() == LoadRole.HORN;
                if (tells
                        && study.isWired(part, load.from())
                        && study.isWired(part, load.to())
                        && ways.lead(part, load)
                        && !ways.lights(part, load)) {
                    findings.add(finding(part));
                }
            }
        }
        return findings;
    }

    private static Finding finding(Part lamp) {
        return new Finding(
                "lamp-never-lights",
                Severity.ERROR,
                List.of(lamp.tag()),
                lamp.tag() + " can never light.",
                "Every way to it leads through two contacts of one device of which one is open whenever the other is closed. A lamp that"
                        + " tells that a breaker has tripped is fed from ahead of it, through a trip signal contact.");
    }

    /** The ways through the contacts of a sheet. */
    private static final class Ways {
        private final Assembly assembly;
        private final Set<Integer> sources = new HashSet<>();
        private final Map<Integer, List<Step>> steps = new HashMap<>();
        private int left;

        /** A contact from one node to another, closed in some positions of its device. */
        private record Step(int to, String tag, int positions) {}

        Ways(Assembly assembly) {
            this.assembly = assembly;
            for (Part part : assembly.parts()) {
                part.sources().forEach(source -> {
                    node(part, source.live()).ifPresent(sources::add);
                    node(part, source.reference()).ifPresent(sources::add);
                });
                for (Contact contact : part.contacts()) {
                    Optional<Integer> from = node(part, contact.from());
                    Optional<Integer> to = node(part, contact.to());
                    if (from.isPresent() && to.isPresent()) {
                        int positions = contact.output() ? -1 : contact.closedIn();
                        steps.computeIfAbsent(from.get(), any -> new ArrayList<>())
                                .add(new Step(to.get(), part.tag(), positions));
                        steps.computeIfAbsent(to.get(), any -> new ArrayList<>())
                                .add(new Step(from.get(), part.tag(), positions));
                    }
                }
            }
        }

        private Optional<Integer> node(Part part, String marking) {
            return assembly.nodes().indexOf(new Terminal(part.tag(), marking));
        }

        /** Whether any way leads to both ends, whatever position devices are in. */
        boolean lead(Part part, Load load) {
            return reaches(node(part, load.from()).orElseThrow())
                    && reaches(node(part, load.to()).orElseThrow());
        }

        /** Whether two ways lead from the ends to sources, on which no device has to be in two positions. */
        boolean lights(Part part, Load load) {
            left = MOST_STEPS;
            return follow(
                    node(part, load.from()).orElseThrow(),
                    new HashMap<>(),
                    new HashSet<>(),
                    Optional.of(node(part, load.to()).orElseThrow()));
        }

        private boolean reaches(int node) {
            Set<Integer> seen = new HashSet<>(Set.of(node));
            List<Integer> waiting = new ArrayList<>(seen);
            while (!waiting.isEmpty()) {
                int at = waiting.remove(waiting.size() - 1);
                if (sources.contains(at)) {
                    return true;
                }
                for (Step step : steps.getOrDefault(at, List.of())) {
                    if (seen.add(step.to())) {
                        waiting.add(step.to());
                    }
                }
            }
            return false;
        }

        /** Whether a way leads from a node to a source, and then another from the other end. */
        private boolean follow(
                int node, Map<String, Integer> positions, Set<Integer> passed, Optional<Integer> otherEnd) {
            if (sources.contains(node)) {
                return otherEnd.isEmpty() || follow(otherEnd.get(), positions, new HashSet<>(), Optional.empty());
            }
            if (--left < 0) {
                return true;
            }
            if (!passed.add(node)) {
                return false;
            }
            for (Step step : steps.getOrDefault(node, List.of())) {
                int before = positions.getOrDefault(step.tag(), -1);
                int both = before & step.positions();
                if (both != 0 && !passed.contains(step.to())) {
                    positions.put(step.tag(), both);
                    if (follow(step.to(), positions, passed, otherEnd)) {
                        return true;
                    }
                    positions.put(step.tag(), before);
                }
            }
            passed.remove(node);
            return false;
        }
    }
}
