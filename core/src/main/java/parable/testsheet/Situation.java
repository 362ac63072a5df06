package parable.testsheet;

import java.util.List;
import java.util.stream.Collectors;
import parable.bench.Action;

/**
 * What has been done to the panel before something is read, each time waiting until all has come to rest.
 *
 * @param phase its condition before that
 * @param hands what was done, in order
 * @param leftRunning whether it was left to itself after that until something of its protection tripped, {@value #LEFT_FOR_MINUTES} minutes at most
 */
public record Situation(Phase phase, List<Action> hands, boolean leftRunning) {

    /** Nobody waits longer for a motor to trip. */
    public static final int LEFT_FOR_MINUTES = 10;

    /** Not modified: the list is copied. */
    public Situation {
        hands = List.copyOf(hands);
    }

    /** Of which nobody waits for what comes later. */
    public Situation(Phase phase, List<Action> hands) {
        this(phase, hands, false);
    }

    /** The same, left to itself. */
    public Situation leftToItself() {
        return new Situation(phase, hands, true);
    }

    /** What was so before the last deed, or before it was left to itself. */
    Situation before() {
        return new Situation(phase, leftRunning ? hands : hands.subList(0, hands.size() - 1));
    }

    /** As it is said to whoever tests: {@code close Q1, press S1, release S1}; {@code touch nothing} for nothing. */
    public String words() {
        String done = hands.isEmpty()
                ? "touch nothing"
                : hands.stream().map(Situation::words).collect(Collectors.joining(", "));
        return leftRunning ? done + ", leave it like that for some minutes" : done;
    }

    private static String words(Action action) {
        String what = action.verb().word() + " " + action.tag();
        return switch (action.verb()) {
            case TURN -> what + " to " + action.position();
            case PUSH -> "push " + action.tag() + "'s armature in";
            case TRIP -> "press the test button of " + action.tag();
            case LOSE -> "switch " + action.tag() + " off";
            case RESTORE -> "switch " + action.tag() + " on";
            default -> what;
        };
    }
}
