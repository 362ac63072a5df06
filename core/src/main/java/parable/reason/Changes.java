package parable.reason;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Moment;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.Verb;

/** What single action would start or stop a device from an instant; each is tried on a bench of its own. */
public final class Changes {

    private static final long LONG_ENOUGH = 1_000_000;

    private Changes() {}

    /**
     * The actions after which, within a second, a load that was on is off, or one that was off is on.
     *
     * @param time from {@link Bench#earliest()} to {@link Bench#now()}; the bench itself is not modified
     * @throws IllegalArgumentException if there is no such device, or it has no coil, lamp or winding
     */
    public static List<Action> of(Bench bench, long time, String tag) {
        boolean before = bench.momentAt(time).energised(tag);
        List<Action> changes = new ArrayList<>();
        for (Part part : bench.assembly().parts()) {
            for (Action action : actions(part, bench.momentAt(time))) {
                Bench tried = bench.on(bench.assembly(), time);
                try {
                    tried.act(action);
                    tried.runUntil(time + LONG_ENOUGH);
                    if (tried.moment().energised(tag) != before) {
                        changes.add(action);
                    }
                } catch (ActionRefusedException impossible) {
                    // What cannot be done now changes nothing.
                }
            }
        }
        return changes;
    }

    private static List<Action> actions(Part part, Moment moment) {
        if (part.drive() instanceof Drive.ByTurning turning) {
            int now = turning.arranged().indexOf(moment.position(part.tag()).orElseThrow());
            List<Action> turns = new ArrayList<>();
            for (int next : new int[] {now - 1, now + 1}) {
                if (next >= 0 && next < turning.arranged().size()) {
                    turns.add(
                            new Action(Verb.TURN, part.tag(), turning.arranged().get(next)));
                }
            }
            return turns;
        }
        int position = moment.actuated(part.tag()) ? 1 : 0;
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> verb.getValue() != position)
                .map(Map.Entry::getKey)
                .sorted()
                .map(verb -> new Action(verb, part.tag()))
                .toList();
    }
}
