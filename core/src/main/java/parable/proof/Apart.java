package parable.proof;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Contact;
import parable.parts.Part;

/** {@code apart:ONE:OTHER}: two contactors whose main poles are never closed together, whatever is done and however fast. */
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
        for (int i = 0; i < contactors.size() && explorer.isComplete(); i++) {
            for (int j = i + 1; j < contactors.size(); j++) {
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
