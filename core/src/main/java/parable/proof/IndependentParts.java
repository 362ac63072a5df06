package parable.proof;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * A sheet taken apart into circuits that share nothing but supplies, and fuses and breakers that stay closed: what happens in one changes
 * nothing in another, for a supply gives its voltage whatever is drawn from it.
 */
final class IndependentParts {

    private final Assembly assembly;
    private final List<Part> parts;
    private final Set<Integer> rails = new HashSet<>();
    private final int[] leader;

    private IndependentParts(Assembly assembly) {
        this.assembly = assembly;
        parts = assembly.parts();
        leader = new int[parts.size() + assembly.nodes().all().size()];
        for (int i = 0; i < leader.length; i++) {
            leader[i] = i;
        }
        findRails();
        joinByNodes();
        joinByDrives();
        joinByRungs();
        joinByClaims();
    }

    /** The circuits as sheets of their own, in the order of their first devices; the sheet itself if it is only one. */
    static List<Sheet> of(Assembly assembly) {
        IndependentParts independent = new IndependentParts(assembly);
        Set<Integer> circuits = independent.circuits();
        return circuits.size() < 2
                ? List.of(assembly.sheet())
                : circuits.stream().map(independent::sheet).toList();
    }

    private int leaderOf(int element) {
        int at = element;
        while (leader[at] != at) {
            at = leader[at];
        }
        return at;
    }

    private void join(int one, int other) {
        leader[Math.max(leaderOf(one), leaderOf(other))] = Math.min(leaderOf(one), leaderOf(other));
    }

    /** Whether a part belongs to all circuits alike. */
    private static boolean isShared(Part part) {
        return switch (part.family()) {
            case SUPPLY, CONVERTER, FUSE, ISOLATOR -> true;
            case BREAKER -> part.heater().isEmpty();
            default -> false;
        };
    }

    private Optional<Integer> node(Part part, String marking) {
        return assembly.nodes().indexOf(new Terminal(part.tag(), marking));
    }

    private void findRails() {
        parts.stream()
                .filter(part -> part.family() == Family.SUPPLY || part.family() == Family.CONVERTER)
                .forEach(part ->
                        part.terminals().forEach(marking -> node(part, marking).ifPresent(rails::add)));
        boolean more = true;
        while (more) {
            more = false;
            for (Part part : parts) {
                for (Contact contact : isShared(part) ? part.contacts() : List.<Contact>of()) {
                    more |= isRail(part, contact.from(), contact.to()) || isRail(part, contact.to(), contact.from());
                }
            }
        }
    }

    /** Makes the one side of a contact a rail if the other is; returns whether it is a new one. */
    private boolean isRail(Part part, String from, String to) {
        Optional<Integer> next = node(part, to);
        return next.isPresent() && node(part, from).filter(rails::contains).isPresent() && rails.add(next.get());
    }

    private void joinByNodes() {
        for (int p = 0; p < parts.size(); p++) {
            int index = p;
            Part part = parts.get(p);
            if (!isShared(part)) {
                part.terminals().forEach(marking -> node(part, marking)
                        .filter(node -> !rails.contains(node))
                        .ifPresent(node -> join(index, parts.size() + node)));
            }
        }
    }

    private void joinByDrives() {
        for (int p = 0; p < parts.size(); p++) {
            Drive drive = parts.get(p).drive();
            List<String> others = drive instanceof Drive.BySpeed speed
                    ? List.of(speed.motor())
                    : drive instanceof Drive.Interlocking between ? List.of(between.one(), between.other()) : List.of();
            for (String other : others) {
                int index = p;
                assembly.indexOf(other).ifPresent(part -> join(index, part));
            }
        }
    }

    private void joinByRungs() {
        assembly.sheet().rungs().forEach(rung -> {
            List<Integer> members = members(rung);
            members.forEach(member -> join(members.get(0), member));
        });
    }

    /** What one claim speaks of has something to do with each other. */
    private void joinByClaims() {
        for (String claim : assembly.sheet().claims()) {
            List<Integer> members = tagsIn(claim).stream()
                    .flatMap(tag -> assembly.indexOf(tag).stream())
                    .filter(part -> !isShared(parts.get(part)))
                    .toList();
            members.forEach(member -> join(members.get(0), member));
        }
    }

    /** The devices that a claim speaks of, none if it cannot be read. */
    private Set<String> tagsIn(String claim) {
        try {
            return Statement.read(claim, assembly).tags();
        } catch (StatementException unreadable) {
            return Set.of();
        }
    }

    private List<Integer> members(Rung rung) {
        List<Integer> members = new ArrayList<>();
        for (RungItem item : rung.items()) {
            Optional<String> tag = item instanceof RungItem.Passage passage
                    ? Optional.of(passage.tag())
                    : item instanceof RungItem.Landing landing
                            ? Optional.of(landing.terminal().tag())
                            : Optional.empty();
            tag.flatMap(assembly::indexOf)
                    .filter(part -> !isShared(parts.get(part)))
                    .ifPresent(members::add);
        }
        return members;
    }

    /** The circuits with anything that moves; what does not move, as a lamp across the rails, belongs to the first. */
    private Set<Integer> circuits() {
        Set<Integer> moving = new TreeSet<>();
        for (int p = 0; p < parts.size(); p++) {
            boolean moves = !(parts.get(p).drive() instanceof Drive.None)
                    && !(parts.get(p).drive() instanceof Drive.Interlocking);
            if (moves && !isShared(parts.get(p))) {
                moving.add(leaderOf(p));
            }
        }
        return moving;
    }

    private Sheet sheet(int circuit) {
        Set<Integer> circuits = circuits();
        boolean first = circuits.iterator().next() == circuit;
        Map<String, Boolean> belongs = new LinkedHashMap<>();
        for (int p = 0; p < parts.size(); p++) {
            int leads = leaderOf(p);
            boolean mine = leads == circuit || first && !circuits.contains(leads);
            belongs.put(parts.get(p).tag(), mine || isShared(parts.get(p)));
        }
        Sheet whole = assembly.sheet();
        return new Sheet(
                        whole.name(),
                        whole.duty(),
                        whole.rails(),
                        whole.devices().stream()
                                .filter(device -> belongs.get(device.tag()))
                                .toList(),
                        whole.power().stream()
                                .filter(rung -> belongs(rung, belongs))
                                .toList(),
                        whole.control().stream()
                                .filter(rung -> belongs(rung, belongs))
                                .toList(),
                        whole.extras())
                .withClaims(whole.claims().stream()
                        .filter(claim -> belongs(tagsIn(claim), belongs, first))
                        .toList());
    }

    /** Whether a claim is about this circuit; one that is about none in particular belongs to the first. */
    private boolean belongs(Set<String> tags, Map<String, Boolean> belongs, boolean first) {
        boolean general =
                tags.stream().allMatch(tag -> isShared(assembly.part(tag).orElseThrow()));
        return general ? first : tags.stream().allMatch(belongs::get);
    }

    private boolean belongs(Rung rung, Map<String, Boolean> belongs) {
        return members(rung).stream()
                .allMatch(part -> belongs.get(parts.get(part).tag()));
    }
}
