package parable.bench;

import java.util.ArrayList;
import java.util.List;

/** Mechanical interlocks: they hold back an armature while the other one is away from rest. */
final class Interlocks {

    private final Rig rig;

    Interlocks(Rig rig) {
        this.rig = rig;
    }

    /** Whether a movement cannot take place; the armature is held back then, with all its movements. */
    boolean holdsBack(Pending.Move move, RunState state) {
        ContactGroup group = rig.groups.get(move.group());
        boolean away = move.closes() != group.closedAt(0);
        boolean held = away
                && rig.atRest(group.part(), state)
                && rig.interlockedWith(group.part(), state).stream().anyMatch(other -> !rig.atRest(other, state));
        if (held) {
            state.heldBack.set(group.part());
            state.pending.removeIf(next -> next instanceof Pending.Move other
                    && rig.groups.get(other.group()).part() == group.part());
        }
        return held;
    }

    /** The armatures that were held back and are free now although their coils are still fed. */
    List<Integer> freed(RunState state) {
        List<Integer> freed = new ArrayList<>();
        for (int part = state.heldBack.nextSetBit(0); part >= 0; part = state.heldBack.nextSetBit(part + 1)) {
            boolean free = rig.interlockedWith(part, state).stream().allMatch(other -> rig.atRest(other, state));
            if (!state.energised.get(part)) {
                state.heldBack.clear(part);
            } else if (free) {
                state.heldBack.clear(part);
                freed.add(part);
            }
        }
        return freed;
    }
}
