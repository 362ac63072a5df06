package parable.reason;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.network.Branch;
import parable.network.Network;
import parable.network.Solution;
import parable.network.Way;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;
import parable.parts.Verb;

/** Why a device is on or off at an instant, in sentences short enough to be read aloud. */
public final class Why {

    private static final int BY_HAND = 1;
    private static final int BY_A_COIL = 2;
    private static final int OWN = 50;

    private final Moment moment;
    private final Network network;
    private final Solution solution;
    private final List<Part> parts;

    /** Reasons at an instant. */
    public Why(Moment moment) {
        this.moment = moment;
        solution = moment.solution();
        network = solution.network();
        parts = network.assembly().parts();
    }

    /**
     * Why a device is as it is: for a coil, lamp, horn or motor the way of the current, or what is open in it; for anything else what moves
     * it.
     *
     * @throws IllegalArgumentException if there is no such device
     */
    public String of(String tag) {
        Part part = network.assembly()
                .part(tag)
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
        if (part.loads().isEmpty()) {
            return tag + " is " + moment.condition(tag).word()
                    + (moment.actuated(tag) ? ": it was moved by hand or tripped." : ", as at rest.");
        }
        int index = network.assembly().indexOf(tag).orElseThrow();
        return moment.energised(tag, 0) ? on(index) : off(index);
    }

    /**
     * The contacts on the way that {@link #of} tells of, from the live side to the return, closed and open ones: {@code K1 13-14}. Empty for what
     * has no coil, lamp or winding and where no way leads through it and back.
     *
     * @throws IllegalArgumentException if there is no such device
     */
    public List<String> way(String tag) {
        return steps(tag).stream()
                .map(step -> step.tag() + " "
                        + network.assembly()
                                .part(step.tag())
                                .orElseThrow()
                                .contacts()
                                .get(step.contact())
                                .marking())
                .toList();
    }

    /**
     * A contact on the way that {@link #of} tells of.
     *
     * @param tag the device
     * @param contact its position among the device's contacts
     * @param conducts whether it conducts at the instant
     */
    public record WayStep(String tag, int contact, boolean conducts) {}

    /**
     * The contacts of {@link #way}, in the same order.
     *
     * @throws IllegalArgumentException if there is no such device
     */
    public List<WayStep> steps(String tag) {
        int index = network.assembly()
                .indexOf(tag)
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
        return parts.get(index).loads().isEmpty()
                ? List.of()
                : feed(index)
                        .map(feed -> contacts(feed).stream()
                                .map(branch -> new WayStep(
                                        parts.get(branch.part()).tag(), branch.index(), solution.conducts(branch)))
                                .toList())
                        .orElse(List.of());
    }

    /** The two terminals of a source that a load's ends lead to, and the ways there. */
    private record Feed(Part supply, Way fromWay, int source, Way toWay, int reference) {
        int open() {
            return fromWay.openTo(source) + toWay.openTo(reference);
        }
    }

    private Optional<Feed> feed(int part) {
        Load load = parts.get(part).loads().get(0);
        Branch branch = network.loadBranch(network.load(part, 0));
        boolean motor = parts.get(part).machine().isPresent();
        Way from = Way.from(
                branch.from(), network, solution, contact -> mayPass(contact, motor), contact -> effort(contact, part));
        Way to = Way.from(
                branch.to(), network, solution, contact -> mayPass(contact, motor), contact -> effort(contact, part));
        Optional<Feed> best = Optional.empty();
        for (Part supply : parts) {
            List<Integer> terminals = terminals(supply);
            for (int one : terminals) {
                for (int other : terminals) {
                    boolean star = !parts.get(part).terminals().contains(load.to());
                    boolean leads = one != other && from.leadsTo(one) && (star || to.leadsTo(other));
                    if (leads) {
                        Feed feed = new Feed(supply, from, one, star ? from : to, star ? one : other);
                        best = best.filter(found -> found.open() <= feed.open()).or(() -> Optional.of(feed));
                    }
                }
            }
        }
        return best;
    }

    /** Current for a coil does not come through the poles of a contactor. */
    private boolean mayPass(Branch branch, boolean motor) {
        Part part = parts.get(branch.part());
        return motor
                || !(part.drive() instanceof Drive.ByCoil)
                || !contact(branch).pole();
    }

    /** A hand closes a contact the easiest; that a device should close a contact in its own way is no reason at all. */
    private int effort(Branch branch, int asked) {
        if (branch.part() == asked) {
            return OWN;
        }
        Drive drive = parts.get(branch.part()).drive();
        return drive instanceof Drive.ByCoil || drive instanceof Drive.ByTimer ? BY_A_COIL : BY_HAND;
    }

    private List<Integer> terminals(Part supply) {
        Set<Integer> terminals = new LinkedHashSet<>();
        for (Source source : supply.sources()) {
            network.node(new Terminal(supply.tag(), source.live())).ifPresent(terminals::add);
            network.node(new Terminal(supply.tag(), source.reference())).ifPresent(terminals::add);
        }
        return List.copyOf(terminals);
    }

    private Contact contact(Branch branch) {
        return parts.get(branch.part()).contacts().get(branch.index());
    }

    private List<Branch> contacts(Feed feed) {
        List<Branch> contacts = new ArrayList<>(feed.fromWay().contactsFrom(feed.source()));
        if (feed.toWay() != feed.fromWay()) {
            List<Branch> back = new ArrayList<>(feed.toWay().contactsFrom(feed.reference()));
            Collections.reverse(back);
            contacts.addAll(back);
        }
        return contacts;
    }

    private String on(int part) {
        String tag = parts.get(part).tag();
        return feed(part)
                .map(feed -> tag + " is on. The current comes from wire " + network.name(feed.source()) + " through "
                        + contacts(feed).stream().map(this::closedBecause).collect(Collectors.joining(", ")) + ".")
                .map(words -> words.replace(" through .", " directly."))
                .orElse(tag + " is on, through another load.");
    }

    private String closedBecause(Branch branch) {
        Part part = parts.get(branch.part());
        String name = part.tag() + " " + contact(branch).marking();
        if (contact(branch).isThroughPath()) {
            return name;
        }
        if (contact(branch).output()) {
            return name
                    + new ProgramWhy(moment)
                            .of(contact(branch), true)
                            .map(words -> " (" + words + ")")
                            .orElse("");
        }
        return contact(branch).isNormallyClosed()
                ? name + " (closed at rest)"
                : name + " (" + part.tag() + " is "
                        + moment.condition(part.tag()).word() + ")";
    }

    private String off(int part) {
        String tag = parts.get(part).tag();
        Optional<Feed> feed = feed(part);
        if (feed.isEmpty()) {
            return tag + " is off: no way of contacts leads from a supply through it and back.";
        }
        List<Branch> open = contacts(feed.get()).stream()
                .filter(branch -> !solution.conducts(branch))
                .toList();
        Optional<String> unfed = unfed(feed.get().supply(), part);
        if (open.isEmpty() && unfed.isPresent()) {
            return tag + " is off: nothing is open in its way. " + unfed.get();
        }
        if (open.isEmpty()) {
            return tag
                    + " is off: every contact in its way is closed, but the supply gives nothing, or it is burnt through.";
        }
        return tag + " is off. Open in its way: "
                + openBecause(open) + "."
                + unfed.map(words -> " " + words).orElse("");
    }

    /** Why a transformer or DC supply that feeds something is off; empty if it is on, or is none. */
    private Optional<String> unfed(Part supply, int fed) {
        int index = parts.indexOf(supply);
        boolean converts = index != fed
                && supply.sources().stream()
                        .anyMatch(source -> source.following().isPresent());
        return converts && !moment.energised(supply.tag(), 0) ? Optional.of(off(index)) : Optional.empty();
    }

    /** The open contacts with what opens or would close them, those of one device together: {@code Q1 1-2 and 3-4, until Q1 is closed}. */
    private String openBecause(List<Branch> open) {
        Map<String, Map<String, List<String>>> markings = new LinkedHashMap<>();
        for (Branch branch : open) {
            markings.computeIfAbsent(parts.get(branch.part()).tag(), tag -> new LinkedHashMap<>())
                    .computeIfAbsent(reason(branch), reason -> new ArrayList<>())
                    .add(contact(branch).marking());
        }
        return markings.entrySet().stream()
                .flatMap(device -> device.getValue().entrySet().stream()
                        .map(reason ->
                                device.getKey() + " " + String.join(" and ", reason.getValue()) + reason.getKey()))
                .collect(Collectors.joining(", and "));
    }

    private String reason(Branch branch) {
        Part part = parts.get(branch.part());
        if (contact(branch).output()) {
            return new ProgramWhy(moment)
                    .of(contact(branch), false)
                    .map(words -> ", because " + words)
                    .orElse("");
        }
        boolean atRest = contact(branch).closedAt(part.initial());
        if (atRest) {
            return ", because " + part.tag() + " is "
                    + moment.condition(part.tag()).word();
        }
        boolean coil = part.drive() instanceof Drive.ByCoil || part.drive() instanceof Drive.ByTimer;
        if (coil) {
            return ", because " + part.tag() + " is out";
        }
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> contact(branch).closedAt(verb.getValue()))
                .map(verb -> verb.getKey())
                .sorted()
                .findFirst()
                .map(Verb::done)
                .map(done -> ", until " + part.tag() + " is " + done)
                .orElse("");
    }
}
