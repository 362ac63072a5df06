package parable.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.DisjointSets;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.network.ControlPath;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * A sheet taken apart into circuits that share nothing but supplies, and fuses and breakers that stay closed: what happens in one changes
 * nothing in another, for a supply gives its voltage whatever is drawn from it.
 *
 * <p>They may also share an E-stop, stop button or selector that leads from a rail to a node. While it is closed, that node is a rail. While
 * it is open, no circuit behind it can give it a voltage, provided that from the node, through any contacts and loads, one comes to one other
 * rail at the most and not to that in front of it. So each circuit sees the same, whatever the others do.
 */
final class IndependentParts {

    private final Assembly assembly;
    private final List<Part> parts;
    private final Set<Integer> rails = new HashSet<>();
    private final Set<Integer> ownOfOne;
    private final List<Common> commons = new ArrayList<>();
    private final Set<String> common = new HashSet<>();
    private final Set<String> railNames = new HashSet<>();
    private final DisjointSets leaders;

    /** A part operated by hand that circuits share, and the rails in front of and behind its contact. */
    private record Common(int part, int front, int behind) {}

    private IndependentParts(Assembly assembly, Set<Integer> ownOfOne) {
        this.assembly = assembly;
        this.ownOfOne = ownOfOne;
        parts = assembly.parts();
        leaders = new DisjointSets(parts.size() + assembly.nodes().all().size());
        findRails();
        findCommon();
        joinByNodes();
        joinByDrives();
        joinByRungs();
        joinByClaims();
        joinByStops();
    }

    /** The circuits as sheets of their own, in the order of their first devices; the sheet itself if it is only one. */
    static List<Sheet> of(Assembly assembly) {
        Set<Integer> ownOfOne = new HashSet<>();
        IndependentParts independent = new IndependentParts(assembly, ownOfOne);
        for (Optional<Integer> one = independent.notShared(); one.isPresent(); one = independent.notShared()) {
            ownOfOne.add(one.get());
            independent = new IndependentParts(assembly, ownOfOne);
        }
        Set<Integer> circuits = independent.circuits();
        boolean programmed = assembly.parts().stream().anyMatch(part -> part.family() == Family.CONTROLLER);
        return programmed || circuits.size() < 2 ? List.of(assembly.sheet()) : independent.sheets(circuits);
    }

    private void join(int one, int other) {
        leaders.join(Math.min(leaders.of(one), leaders.of(other)), Math.max(leaders.of(one), leaders.of(other)));
    }

    /** Whether a part belongs to all circuits alike. */
    private boolean isShared(Part part) {
        return staysClosed(part) || common.contains(part.tag());
    }

    private static boolean staysClosed(Part part) {
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
                for (Contact contact : staysClosed(part) ? part.contacts() : List.<Contact>of()) {
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

    /** Finds what is operated by hand and leads from a rail to a node that circuits may share. */
    private void findCommon() {
        boolean more = true;
        while (more) {
            more = false;
            for (int p = 0; p < parts.size(); p++) {
                boolean candidate = isByHand(parts.get(p)) && !ownOfOne.contains(p);
                for (Contact contact : candidate ? parts.get(p).contacts() : List.<Contact>of()) {
                    more |= isCommon(p, contact.from(), contact.to()) || isCommon(p, contact.to(), contact.from());
                }
            }
        }
    }

    /** The last found of those behind which there is one circuit only; that one belongs to it like any other part. */
    private Optional<Integer> notShared() {
        for (int c = commons.size() - 1; c >= 0; c--) {
            if (circuitsBehind(commons.get(c).behind(), circuits()).size() < 2) {
                return Optional.of(commons.get(c).part());
            }
        }
        return Optional.empty();
    }

    private Set<Integer> circuitsBehind(int node, Set<Integer> circuits) {
        Set<Integer> behind = new HashSet<>();
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            boolean there = part.terminals().stream()
                    .anyMatch(marking ->
                            node(part, marking).filter(at -> at == node).isPresent());
            if (there && !isShared(part) && circuits.contains(leaders.of(p))) {
                behind.add(leaders.of(p));
            }
        }
        commons.stream()
                .filter(common -> common.front() == node && common.behind() != node)
                .forEach(common -> behind.addAll(circuitsBehind(common.behind(), circuits)));
        return behind;
    }

    private static boolean isByHand(Part part) {
        return switch (part.family()) {
            case EMERGENCY_STOP, SELECTOR -> true;
            case PUSH_BUTTON -> part.contacts().stream().allMatch(Contact::isNormallyClosed);
            default -> false;
        };
    }

    /** Makes what lies behind a contact of a part a rail if circuits may share it; returns whether it is a new one. */
    private boolean isCommon(int part, String from, String to) {
        Optional<Integer> front = node(parts.get(part), from).filter(rails::contains);
        Optional<Integer> behind = node(parts.get(part), to).filter(node -> !rails.contains(node));
        if (front.isEmpty() || behind.isEmpty()) {
            return false;
        }
        Set<Integer> touched = railsFrom(behind.get(), part);
        if (touched.size() > 1 || touched.contains(front.get())) {
            return false;
        }
        commons.add(new Common(part, front.get(), behind.get()));
        common.add(parts.get(part).tag());
        return rails.add(behind.get());
    }

    /** The rails that one comes to from a node through any contacts and loads but those of a part. */
    private Set<Integer> railsFrom(int node, int without) {
        Set<Integer> touched = new HashSet<>();
        Set<Integer> seen = new HashSet<>(Set.of(node));
        List<Integer> waiting = new ArrayList<>(seen);
        while (!waiting.isEmpty()) {
            int at = waiting.remove(waiting.size() - 1);
            for (int next : neighbours(at, without)) {
                if (rails.contains(next)) {
                    touched.add(next);
                } else if (seen.add(next)) {
                    waiting.add(next);
                }
            }
        }
        return touched;
    }

    private Set<Integer> neighbours(int node, int without) {
        Set<Integer> neighbours = new HashSet<>();
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            if (p != without) {
                part.contacts().forEach(contact -> across(part, contact.from(), contact.to(), node, neighbours));
                part.loads().forEach(load -> across(part, load.from(), load.to(), node, neighbours));
            }
        }
        return neighbours;
    }

    private void across(Part part, String from, String to, int node, Set<Integer> neighbours) {
        Optional<Integer> one = node(part, from);
        Optional<Integer> other = node(part, to);
        if (one.isPresent() && other.isPresent()) {
            if (one.get() == node) {
                neighbours.add(other.get());
            } else if (other.get() == node) {
                neighbours.add(one.get());
            }
        }
    }

    private void joinByNodes() {
        for (int p = 0; p < parts.size(); p++) {
            int index = p;
            Part part = parts.get(p);
            if (!isShared(part)) {
                part.terminals().forEach(marking -> node(part, marking)
                        .filter(node -> !rails.contains(node))
                        .ifPresent(node -> join(index, parts.size() + node)));
            } else {
                part.contacts().forEach(contact -> joinNodes(part, contact));
            }
        }
    }

    /** What lies to both sides of a contact is one circuit, also where the contact belongs to all, unless a side is a rail. */
    private void joinNodes(Part part, Contact contact) {
        Optional<Integer> one = node(part, contact.from()).filter(node -> !rails.contains(node));
        Optional<Integer> other = node(part, contact.to()).filter(node -> !rails.contains(node));
        if (one.isPresent() && other.isPresent()) {
            join(parts.size() + one.get(), parts.size() + other.get());
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
        assembly.sheet().rungs().flatMap(this::pieces).forEach(rung -> {
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

    /** An E-stop has to do with every motor; a stop that has to do with no relay at all is looked at with the first. */
    private void joinByStops() {
        List<Integer> motors = IntStream.range(0, parts.size())
                .filter(part -> parts.get(part).family() == Family.MOTOR && !isShared(parts.get(part)))
                .boxed()
                .toList();
        ControlPath control = new ControlPath(assembly);
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            int stop = p;
            if (!isShared(part) && isWired(part) && !motors.isEmpty()) {
                if (part.family() == Family.EMERGENCY_STOP) {
                    motors.forEach(motor -> join(stop, motor));
                } else if (isByHand(part)
                        && part.family() == Family.PUSH_BUTTON
                        && control.relaysOf(part).isEmpty()) {
                    join(stop, motors.get(0));
                }
            }
        }
    }

    private boolean isWired(Part part) {
        return part.terminals().stream().anyMatch(marking -> node(part, marking).isPresent());
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
                    : item instanceof RungItem.TerminalEnd landing
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
                moving.add(leaders.of(p));
            }
        }
        return moving;
    }

    /** What belongs to one circuit alone, or to all, by its place in the list that it is taken from. */
    private final class Shares {
        private final List<Integer> all = new ArrayList<>();
        private final Map<Integer, List<Integer>> own = new HashMap<>();

        void add(int place, Set<Integer> homes) {
            if (homes.isEmpty()) {
                all.add(place);
            } else if (homes.size() == 1) {
                own.computeIfAbsent(homes.iterator().next(), any -> new ArrayList<>())
                        .add(place);
            }
        }

        <T> List<T> of(int circuit, List<T> list) {
            return Stream.concat(all.stream(), own.getOrDefault(circuit, List.of()).stream())
                    .sorted()
                    .map(list::get)
                    .toList();
        }
    }

    /** The circuit that a part belongs to; what does not move belongs to the first. */
    private int home(int part, Set<Integer> circuits) {
        int leads = leaders.of(part);
        return circuits.contains(leads) ? leads : circuits.iterator().next();
    }

    private Shares shares(List<Rung> pieces, Set<Integer> circuits) {
        Shares shares = new Shares();
        for (int i = 0; i < pieces.size(); i++) {
            shares.add(
                    i,
                    members(pieces.get(i)).stream()
                            .map(part -> home(part, circuits))
                            .collect(Collectors.toSet()));
        }
        return shares;
    }

    private List<Sheet> sheets(Set<Integer> circuits) {
        Sheet whole = assembly.sheet();
        List<Rung> power = whole.power().stream().flatMap(this::pieces).toList();
        List<Rung> control = whole.control().stream().flatMap(this::pieces).toList();
        Shares ofPower = shares(power, circuits);
        Shares ofControl = shares(control, circuits);
        Shares ofDevices = new Shares();
        Shares ofClaims = new Shares();
        for (int p = 0; p < parts.size(); p++) {
            ofDevices.add(p, isShared(parts.get(p)) ? Set.of() : Set.of(home(p, circuits)));
        }
        for (int c = 0; c < whole.claims().size(); c++) {
            ofClaims.add(c, about(whole.claims().get(c), circuits));
        }
        return circuits.stream()
                .map(circuit -> new Sheet(
                                whole.name(),
                                whole.duty(),
                                whole.rails(),
                                ofDevices.of(circuit, whole.devices()),
                                ofPower.of(circuit, power),
                                ofControl.of(circuit, control),
                                whole.extras())
                        .withClaims(ofClaims.of(circuit, whole.claims())))
                .toList();
    }

    /** The circuit that a claim is about; one that is about none in particular belongs to the first. */
    private Set<Integer> about(String claim, Set<Integer> circuits) {
        Set<Integer> homes = new HashSet<>();
        for (String tag : tagsIn(claim)) {
            int part = assembly.indexOf(tag).orElseThrow();
            if (!isShared(parts.get(part))) {
                homes.add(home(part, circuits));
            }
        }
        return homes.isEmpty() ? Set.of(circuits.iterator().next()) : homes;
    }

    /** A rung cut at every rail that it goes through; written in one or in several lines, the circuit is the same. */
    private Stream<Rung> pieces(Rung rung) {
        List<Rung> pieces = new ArrayList<>();
        List<RungItem> piece = new ArrayList<>();
        for (int i = 0; i < rung.items().size(); i++) {
            RungItem item = rung.items().get(i);
            piece.add(item);
            boolean within = i > 0 && i + 1 < rung.items().size();
            if (within && item instanceof RungItem.NamedPoint point && isRail(point)) {
                pieces.add(new Rung(piece, rung.remark()));
                piece = new ArrayList<>(List.of(item));
            }
        }
        pieces.add(new Rung(piece, rung.remark()));
        return pieces.stream();
    }

    private boolean isRail(RungItem.NamedPoint point) {
        return railNames().contains(point.name());
    }

    private Set<String> railNames() {
        if (railNames.isEmpty()) {
            rails.forEach(
                    node -> railNames.addAll(assembly.nodes().all().get(node).names()));
        }
        return railNames;
    }
}
