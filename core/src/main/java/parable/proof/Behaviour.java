package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/**
 * What starts do: {@code certain:START} for each start from rest, in each position of the selectors, and {@code while:START:OTHER} for
 * each other operator that is pressed while what the start has set going runs.
 */
final class Behaviour implements ClaimSource {

    private static final int MOST_ARRANGEMENTS = 12;

    private final Machine machine;
    private final Explorer explorer;
    private final Certainty certainty;
    private final List<Claim> claims = new ArrayList<>();

    Behaviour(Machine machine, Explorer explorer, Certainty certainty) {
        this.machine = machine;
        this.explorer = explorer;
        this.certainty = certainty;
    }

    @Override
    public List<Claim> claims() {
        for (List<Hand> arrangement : arrangements()) {
            if (!arrangement.isEmpty()) {
                claim("position:" + ids(arrangement), arrangement, "With " + words(arrangement));
            }
            for (int part = 0; part < machine.parts().size(); part++) {
                start(part).ifPresent(press -> starts(arrangement, press));
            }
        }
        return claims;
    }

    private void starts(List<Hand> arrangement, Hand press) {
        String tag = tag(press);
        List<Hand> script = new ArrayList<>(arrangement);
        script.add(press);
        script.add(release(press));
        String after = arrangement.isEmpty() ? "" : "@" + ids(arrangement);
        String where = arrangement.isEmpty() ? "from rest" : "with " + words(arrangement);
        Optional<Outcome> runs =
                claim("certain:" + tag + after, script, tag + ", " + press.words() + " " + where + " and let go,");
        boolean runsOn = runs.filter(outcome -> !outcome.motors().isEmpty()).isPresent();
        for (int part = 0; part < machine.parts().size() && runsOn; part++) {
            if (part != press.part()) {
                start(part).ifPresent(other -> {
                    List<Hand> further = new ArrayList<>(script);
                    further.add(other);
                    claim(
                            "while:" + tag + ":" + tag(other) + after,
                            further,
                            "While what " + tag + " starts runs, " + tag(other) + " " + other.words());
                });
            }
        }
    }

    private String tag(Hand hand) {
        return machine.parts().get(hand.part()).tag();
    }

    private String ids(List<Hand> hands) {
        return String.join(
                ",",
                hands.stream()
                        .map(hand -> tag(hand) + "=" + hand.words().replace("turned to ", ""))
                        .toList());
    }

    private String words(List<Hand> hands) {
        return String.join(
                " and ",
                hands.stream().map(hand -> tag(hand) + " " + hand.words()).toList());
    }

    /** The ways the selectors may stand; the first is that in which they are drawn. */
    private List<List<Hand>> arrangements() {
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
    private Optional<Hand> start(int index) {
        Part part = machine.parts().get(index);
        boolean opens = part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
        if (part.family() == Family.PUSH_BUTTON && opens) {
            return Optional.of(new Hand(index, 1, "pressed"));
        }
        return part.family() == Family.MACHINE_SWITCH && part.drive().verbs().containsKey(Verb.ACTUATE)
                ? Optional.of(new Hand(index, 1, "actuated"))
                : Optional.empty();
    }

    private static Hand release(Hand press) {
        return new Hand(press.part(), 0, "let go");
    }

    /** Raises a claim on what a script ends with; returns that if it is one and the same in all cases. */
    private Optional<Outcome> claim(String id, List<Hand> script, String subject) {
        Set<Outcome> ends = ends(script);
        boolean decided = ends.size() == 1
                && explorer.isComplete()
                && explorer.firstShort().isEmpty()
                && !machine.mayNeverSettle();
        if (decided) {
            Outcome end = ends.iterator().next();
            claims.add(Claim.holding(id, text(subject, end), Verdict.HOLDS_AT_ANY_SPEED, List.of()));
            return Optional.of(end);
        }
        Certainty.Decision decision = certainty.decide(script);
        String text = decision.end()
                .map(end -> text(subject, end))
                .orElse(subject + " leads to one and the same end, whichever contact is the quicker.");
        claims.add(Claim.of(
                id,
                text,
                decision.outcome(),
                ends.stream().map(end -> "it may be that " + end.words()).toList()));
        return decision.end();
    }

    private static String text(String subject, Outcome end) {
        return subject + " ends with this: " + end.words() + ".";
    }

    /** What a script may end with at any speed, each hand waiting until all has settled. */
    private Set<Outcome> ends(List<Hand> script) {
        Set<Long> states = new LinkedHashSet<>(explorer.ends(machine.initial()));
        for (Hand hand : script) {
            Set<Long> next = new LinkedHashSet<>();
            states.forEach(state -> next.addAll(explorer.ends(machine.with(state, hand.move(machine, state)))));
            states = next;
        }
        Set<Outcome> ends = new LinkedHashSet<>();
        states.forEach(state -> ends.add(machine.outcome(state)));
        return ends;
    }
}
