package parable.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Terminal;
import parable.network.Branch;
import parable.network.Network;
import parable.network.Solution;
import parable.network.Way;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Part;

/** Through which contacts a coil gets its voltage, where that is not plain: where more than one of them has been moved. */
final class FeedWords {

    private final Network network;
    private final Solution solution;
    private final List<Part> parts;

    FeedWords(Solution solution) {
        this.solution = solution;
        network = solution.network();
        parts = network.assembly().parts();
    }

    /** {@code  through S1 13-14, K1 11-14 and K2 11-14}, or nothing. */
    String of(int part, int load) {
        Branch coil = network.loadBranch(network.load(part, load));
        List<Branch> way = new ArrayList<>(shortest(coil.from()));
        List<Branch> back = new ArrayList<>(shortest(coil.to()));
        Collections.reverse(back);
        way.addAll(back);
        List<String> moved = way.stream()
                .filter(branch ->
                        !contact(branch).closedAt(parts.get(branch.part()).initial()))
                .filter(branch -> !contact(branch).pole())
                .map(branch ->
                        parts.get(branch.part()).tag() + " " + contact(branch).marking())
                .toList();
        return moved.size() < 2
                ? ""
                : " through " + String.join(", ", moved.subList(0, moved.size() - 1)) + " and "
                        + moved.get(moved.size() - 1);
    }

    private Contact contact(Branch branch) {
        return parts.get(branch.part()).contacts().get(branch.index());
    }

    /** The fewest closed contacts from a source to a node. */
    private List<Branch> shortest(int node) {
        Way way = Way.from(node, network, solution, this::mayPass, branch -> 1);
        return sources()
                .filter(way::leadsTo)
                .map(way::contactsFrom)
                .min((one, other) -> Integer.compare(one.size(), other.size()))
                .orElse(List.of());
    }

    /** Current for a coil does not come through the poles of a contactor. */
    private boolean mayPass(Branch branch) {
        boolean armature = parts.get(branch.part()).drive() instanceof Drive.ByCoil;
        return solution.conducts(branch) && !(armature && contact(branch).pole());
    }

    private Stream<Integer> sources() {
        return parts.stream()
                .flatMap(part -> part.sources().stream()
                        .flatMap(source -> Stream.of(source.live(), source.reference()))
                        .map(marking -> network.node(new Terminal(part.tag(), marking))))
                .flatMap(Optional::stream)
                .collect(Collectors.toSet())
                .stream();
    }
}
