package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code apart:ONE:OTHER}: two contactors whose main poles are never closed together, whatever is done and however fast; and
 * {@code alone:CONTACTOR} and {@code together:ONE:OTHER}: what the motors do while that one or those two are in and no other contactor is.
 */
final class Apart implements ClaimSource {

    private final Machine machine;
    private final Explorer explorer;

    Apart(Machine machine, Explorer explorer) {
        this.machine = machine;
        this.explorer = explorer;
    }

    @Override
    public List<Claim> claims() {
        List<Integer> contactors = new ArrayList<>();
        for (int part : machine.moving()) {
            Part of = machine.parts().get(part);
            if (machine.component(part) instanceof Component.Armature
                    && of.contacts().stream().anyMatch(Contact::pole)) {
                contactors.add(part);
            }
        }
        List<Claim> claims = new ArrayList<>();
        for (int contactor : contactors) {
            doing("alone:", List.of(contactor), contactors).ifPresent(claims::add);
        }
        for (int i = 0; i < contactors.size() && explorer.isComplete(); i++) {
            for (int j = i + 1; j < contactors.size(); j++) {
                doing("together:", List.of(contactors.get(i), contactors.get(j)), contactors)
                        .ifPresent(claims::add);
                if (neverTogether(contactors.get(i), contactors.get(j))) {
                    String one = machine.parts().get(contactors.get(i)).tag();
                    String other = machine.parts().get(contactors.get(j)).tag();
                    claims.add(Claim.holding(
                            "apart:" + one + ":" + other,
                            one + " and " + other + " are never in together.",
                            Verdict.HOLDS_AT_ANY_SPEED,
                            List.of()));
                }
            }
        }
        return claims;
    }

    /** The claim on what the motors do with some contactors in, if that is always the same; with every breaker closed. */
    private Optional<Claim> doing(String kind, List<Integer> in, List<Integer> all) {
        Set<List<String>> doing = new LinkedHashSet<>();
        for (int i = 0; i < explorer.states().size() && doing.size() < 2; i++) {
            long state = explorer.states().key(i);
            boolean counts = machine.hasPower(state)
                    && all.stream().allMatch(one -> isIn(state, one) == in.contains(one))
                    && breakersClosed(state);
            if (counts && !machine.conduction(state).shorted()) {
                doing.add(machine.doing(machine.conduction(state)));
            }
        }
        if (doing.size() != 1 || !explorer.isComplete()) {
            return Optional.empty();
        }
        List<String> only = doing.iterator().next();
        List<String> tags =
                in.stream().map(one -> machine.parts().get(one).tag()).toList();
        return Optional.of(Claim.holding(
                kind + String.join(":", tags),
                "While " + String.join(" and ", tags) + (tags.size() == 1 ? " alone is in, " : " are in together, ")
                        + (only.isEmpty() ? "no motor gets anything" : String.join(" and ", only)) + ".",
                Verdict.HOLDS_AT_ANY_SPEED,
                List.of()));
    }

    private boolean breakersClosed(long state) {
        for (int part : machine.moving()) {
            if (machine.parts().get(part).family() == Family.BREAKER && machine.value(state, part) != 1) {
                return false;
            }
        }
        return true;
    }

    private boolean neverTogether(int one, int other) {
        for (int i = 0; i < explorer.states().size(); i++) {
            long state = explorer.states().key(i);
            if (isIn(state, one) && isIn(state, other)) {
                return false;
            }
        }
        return true;
    }

    private boolean isIn(long state, int part) {
        int value = machine.value(state, part);
        return value == Component.Armature.IN || value == Component.Armature.HANGING;
    }
}
