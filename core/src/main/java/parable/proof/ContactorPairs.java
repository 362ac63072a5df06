package parable.proof;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.Family;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;
import parable.reach.Explorer;

/**
 * {@code apart:ONE:OTHER}: two contactors that are no opponents and whose main poles are never closed together, however fast; and
 * {@code alone:CONTACTOR} and {@code together:ONE:OTHER}: what the motors do while that one or those two are in and no other contactor is.
 */
final class ContactorPairs implements ClaimSource {

    private static final int MOST_CONTACTORS = Long.SIZE - 1;

    private final List<Opponents.Pair> opponents;
    private final CircuitMachine machine;
    private final Explorer explorer;
    private final int[] contactors;
    private final int[] breakers;

    /** For every set of contactors, a bit each, that is ever in together: what the motors do then with power and every breaker closed. */
    private final Map<Long, Known> doing = new HashMap<>();

    private long lastIn = -1;
    private Known lastKnown = new Known();

    /** What motors were seen to do, and in which circuits, so that each is looked at once. */
    private static final class Known {
        private final Set<List<String>> doing = new LinkedHashSet<>();
        private final BitSet seen = new BitSet();
    }

    /**
     * The claims on a machine.
     *
     * @param opponents the pairs of which more is required than described
     */
    ContactorPairs(CircuitMachine machine, Explorer explorer, List<Opponents.Pair> opponents) {
        this.opponents = opponents;
        this.machine = machine;
        this.explorer = explorer;
        contactors = IntStream.of(machine.moving())
                .filter(part -> machine.component(part) instanceof Component.Armature)
                .filter(part -> machine.parts().get(part).contacts().stream().anyMatch(Contact::pole))
                .limit(MOST_CONTACTORS)
                .toArray();
        breakers = IntStream.of(machine.moving())
                .filter(part -> machine.parts().get(part).family() == Family.BREAKER)
                .toArray();
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        if (!explorer.isComplete()) {
            return claims;
        }
        for (int i = 0; i < explorer.states().size(); i++) {
            note(explorer.states().key(i));
        }
        for (int i = 0; i < contactors.length; i++) {
            doing("alone:", List.of(i)).ifPresent(claims::add);
        }
        for (int i = 0; i < contactors.length; i++) {
            for (int j = i + 1; j < contactors.length; j++) {
                doing("together:", List.of(i, j)).ifPresent(claims::add);
                long both = 1L << i | 1L << j;
                if (!areOpponents(i, j) && doing.keySet().stream().noneMatch(in -> (in & both) == both)) {
                    claims.add(Claim.holding(
                            "apart:" + tag(i) + ":" + tag(j),
                            tag(i) + " and " + tag(j) + " are never in together.",
                            Verdict.HOLDS_AT_ANY_SPEED,
                            List.of()));
                }
            }
        }
        return claims;
    }

    private boolean areOpponents(int one, int other) {
        return opponents.stream().anyMatch(pair -> pair.one() == contactors[one] && pair.other() == contactors[other]);
    }

    private void note(long state) {
        long in = 0;
        for (int i = 0; i < contactors.length; i++) {
            in |= machine.isIn(state, contactors[i]) ? 1L << i : 0;
        }
        if (in != lastIn) {
            lastIn = in;
            lastKnown = doing.computeIfAbsent(in, any -> new Known());
        }
        boolean says = in != 0 && Long.bitCount(in) <= 2 && lastKnown.doing.size() < 2;
        if (says && machine.hasPower(state) && breakersClosed(state)) {
            Conduction conduction = machine.conduction(state);
            if (!conduction.shorted() && !lastKnown.seen.get(conduction.number())) {
                lastKnown.seen.set(conduction.number());
                lastKnown.doing.add(machine.doing(conduction));
            }
        }
    }

    private boolean breakersClosed(long state) {
        return IntStream.of(breakers).allMatch(breaker -> machine.value(state, breaker) == 1);
    }

    private String tag(int contactor) {
        return machine.parts().get(contactors[contactor]).tag();
    }

    /** The claim on what the motors do with some contactors in, if that is always the same. */
    private Optional<Claim> doing(String kind, List<Integer> contactorsIn) {
        long in = contactorsIn.stream().mapToLong(one -> 1L << one).sum();
        Set<List<String>> known = doing.getOrDefault(in, new Known()).doing;
        if (known.size() != 1) {
            return Optional.empty();
        }
        List<String> only = known.iterator().next();
        List<String> tags = contactorsIn.stream().map(this::tag).toList();
        return Optional.of(Claim.holding(
                kind + String.join(":", tags),
                "While " + String.join(" and ", tags) + (tags.size() == 1 ? " alone is in, " : " are in together, ")
                        + (only.isEmpty() ? "no motor gets anything" : String.join(" and ", only)) + ".",
                Verdict.HOLDS_AT_ANY_SPEED,
                List.of()));
    }
}
