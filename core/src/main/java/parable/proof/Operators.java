package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.reach.CircuitMachine;
import parable.reach.Effects;
import parable.reach.Explorer;
import parable.reach.Hand;

/** What hands can do to a sheet in the usual ways, as scripts. */
final class Operators {

    private static final int MOST_ARRANGEMENTS = 12;

    private final CircuitMachine machine;

    /** What could start something, and where it is as it is drawn. */
    private final int[] starting;

    private final int[] drawn;

    Operators(CircuitMachine machine) {
        this.machine = machine;
        long rest = machine.initial();
        starting = IntStream.of(machine.moving())
                .filter(part -> couldStart(machine.parts().get(part)))
                .toArray();
        drawn = IntStream.of(starting).map(part -> machine.value(rest, part)).toArray();
    }

    /** The tag of the device that a hand moves. */
    String tag(Hand hand) {
        return machine.parts().get(hand.part()).tag();
    }

    /** Short, for an id: {@code S5=jog}. */
    String ids(List<Hand> hands) {
        return String.join(
                ",",
                hands.stream()
                        .map(hand -> tag(hand) + "=" + hand.words().replace("turned to ", ""))
                        .toList());
    }

    /** Their words, joined. */
    String words(List<Hand> hands) {
        return String.join(
                " and ",
                hands.stream().map(hand -> tag(hand) + " " + hand.words()).toList());
    }

    /** The ways the selectors may stand; the first is that in which they are drawn. */
    List<List<Hand>> arrangements() {
        List<List<Hand>> arrangements = new ArrayList<>(List.of(List.of()));
        for (int p = 0; p < machine.parts().size(); p++) {
            if (machine.parts().get(p).drive() instanceof Drive.ByTurning turning) {
                int rest = machine.value(machine.initial(), p);
                List<List<Hand>> further = new ArrayList<>(arrangements);
                for (int position = 0; position < turning.positions().size(); position++) {
                    for (List<Hand> arrangement : position == rest ? List.<List<Hand>>of() : arrangements) {
                        List<Hand> one = new ArrayList<>(arrangement);
                        one.add(new Hand(
                                p, position, "turned to " + turning.positions().get(position)));
                        further.add(one);
                    }
                }
                arrangements = further;
            }
        }
        return arrangements.subList(0, Math.min(MOST_ARRANGEMENTS, arrangements.size()));
    }

    /** What could start a motor: a button with an open contact, or a machine switch. */
    Optional<Hand> start(int index) {
        Part part = machine.parts().get(index);
        boolean opens = part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
        if (part.family() == Family.PUSH_BUTTON && opens) {
            return Optional.of(new Hand(index, 1, "pressed"));
        }
        return part.family() == Family.MACHINE_SWITCH && part.drive().verbs().containsKey(Verb.ACTUATE)
                ? Optional.of(new Hand(index, 1, "actuated"))
                : Optional.empty();
    }

    /** The button pressed, or the switch actuated, let go. */
    static Hand release(Hand press) {
        return new Hand(press.part(), 0, "let go");
    }

    /** What stops by being pressed: a button whose contacts all open. */
    Optional<Hand> stop(int index) {
        Part part = machine.parts().get(index);
        return part.family() == Family.PUSH_BUTTON && part.contacts().stream().allMatch(Contact::isNormallyClosed)
                ? Optional.of(new Hand(index, 1, "pressed"))
                : Optional.empty();
    }

    /** What a script may end with at any speed, each hand waiting until all has settled; a short circuit is no end. */
    Set<Effects> ends(Explorer explorer, List<Hand> script) {
        Set<Long> states = new LinkedHashSet<>(explorer.ends(machine.initial()));
        for (Hand hand : script) {
            Set<Long> next = new LinkedHashSet<>();
            states.forEach(state -> next.addAll(explorer.ends(machine.with(state, hand.move(machine, state)))));
            states = next;
        }
        Set<Effects> ends = new LinkedHashSet<>();
        for (List<Long> round : explorer.rounds(states)) {
            Effects.ofRound(round.stream().map(machine::outcome).toList()).forEach(ends::add);
        }
        return ends;
    }

    /** Whether a part is one that could start something: a button with an open contact, a machine switch, a selector. */
    static boolean couldStart(Part part) {
        boolean starts = part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
        return part.family() == Family.PUSH_BUTTON && starts
                || part.family() == Family.MACHINE_SWITCH && !(part.drive() instanceof Drive.BySpeed)
                || part.drive() instanceof Drive.ByTurning;
    }

    /** Whether nothing that could start something is held or turned away from where it is drawn. */
    boolean isQuiet(long state) {
        for (int i = 0; i < starting.length; i++) {
            if (machine.value(state, starting[i]) != drawn[i]) {
                return false;
            }
        }
        return true;
    }
}
