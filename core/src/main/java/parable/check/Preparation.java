package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.bench.Action;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/**
 * What is done before a start is tried, so that permissives are as they must be.
 *
 * @param acts what is done, one after the other
 * @param held the buttons that stay pressed until the start is let go
 */
record Preparation(List<Action> acts, List<String> held) {

    /** Nothing. */
    static final Preparation NONE = new Preparation(List.of(), List.of());

    /** With more starts than this only switches are tried: each further preparation is tried with every start. */
    private static final int MOST_STARTS = 12;

    Preparation {
        acts = List.copyOf(acts);
        held = List.copyOf(held);
    }

    /** Whether all it does is to actuate switches of the machine. */
    boolean isOnlySwitches() {
        return !acts.isEmpty() && acts.stream().allMatch(act -> act.verb() == Verb.ACTUATE);
    }

    boolean holds(String tag) {
        return held.contains(tag);
    }

    /**
     * What is worth trying, the simplest first: a release tripped, for a standby; all machine switches actuated, as guard doors shut; a button pressed and let go before, as a reset
     * or the start of another motor; both; a button held besides, as with two hands; two buttons one after the other.
     */
    static List<Preparation> of(Assembly assembly) {
        List<Action> switches = new ArrayList<>();
        List<String> buttons = new ArrayList<>();
        for (Part part : assembly.parts()) {
            Operating.start(part).ifPresent(action -> {
                if (action.verb() == Verb.ACTUATE) {
                    switches.add(action);
                } else if (action.verb() == Verb.PRESS) {
                    buttons.add(action.tag());
                }
            });
        }
        List<Preparation> all = new ArrayList<>();
        for (Part part : assembly.parts()) {
            if (part.family() == Family.OVERLOAD_RELAY) {
                all.add(new Preparation(List.of(new Action(Verb.TRIP, part.tag())), List.of()));
            }
        }
        if (!switches.isEmpty()) {
            all.add(new Preparation(switches, List.of()));
        }
        if (buttons.size() + switches.size() > MOST_STARTS) {
            return all;
        }
        buttons.forEach(button -> all.add(new Preparation(pressed(button), List.of())));
        if (!switches.isEmpty()) {
            buttons.forEach(button -> all.add(new Preparation(joined(switches, pressed(button)), List.of())));
        }
        buttons.forEach(button ->
                all.add(new Preparation(joined(switches, List.of(new Action(Verb.PRESS, button))), List.of(button))));
        for (String first : buttons) {
            for (String second : buttons) {
                if (!first.equals(second)) {
                    all.add(new Preparation(joined(joined(switches, pressed(first)), pressed(second)), List.of()));
                }
            }
        }
        return all;
    }

    private static List<Action> pressed(String button) {
        return List.of(new Action(Verb.PRESS, button), new Action(Verb.RELEASE, button));
    }

    private static List<Action> joined(List<Action> one, List<Action> other) {
        List<Action> both = new ArrayList<>(one);
        both.addAll(other);
        return both;
    }
}
