package parable.app.run;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import parable.bench.Action;
import parable.bench.Moment;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.Verb;

/**
 * The user's grip on one device. What springs back when let go is held by one or several hands at once (mouse, key) or
 * latched down to free them; everything else goes to its other position at each touch.
 */
public final class Handle {

    /** A finger is not quicker than this on the bench, in microseconds, however slow time runs there. */
    private static final long SHORTEST_TOUCH = 100_000;

    private final RunModel run;
    private Part part;
    private final Set<Object> hands = new HashSet<>();
    private long pressedAt;
    private int sense = 1;
    private final ReadOnlyBooleanWrapper latched = new ReadOnlyBooleanWrapper();
    private final ChangeListener<Object> otherTimeline = (any, before, after) -> takeOver();
    private final WeakChangeListener<Object> takeOverAnew = new WeakChangeListener<>(otherTimeline);

    /** A grip on a part that can be moved by hand. */
    public Handle(RunModel run, Part part) {
        this.run = run;
        this.part = part;
        run.timelineProperty().addListener(takeOverAnew);
        takeOver();
    }

    /** Grips the same device after the sheet has changed. */
    public void hold(Part same) {
        part = same;
    }

    /** The hands of another timeline, or of the drawing before an edit, are gone; what was held there stays held, so that it can be let go. */
    private void takeOver() {
        hands.clear();
        boolean isThere = run.assembly().part(part.tag()).isPresent();
        latched.set(isThere && springsBack() && run.shownProperty().get().actuated(part.tag()));
    }

    /** Whether a part can be moved by hand at all. */
    public static boolean fits(Part part) {
        return !part.drive().verbs().isEmpty() || part.drive() instanceof Drive.ByTurning;
    }

    /** The part that is gripped. */
    public Part part() {
        return part;
    }

    /** Whether it springs back when let go. */
    public boolean springsBack() {
        return part.drive().verbs().containsKey(Verb.PRESS) && !hasStopButton();
    }

    /** Whether it has a stop button besides, as an overload relay has. */
    public boolean hasStopButton() {
        return part.drive().verbs().keySet().containsAll(List.of(Verb.TRIP, Verb.PRESS));
    }

    /** Presses its stop button, or lets go of it. */
    public void stopButton(boolean down) {
        run.act(new Action(down ? Verb.PRESS : Verb.RELEASE, part.tag()));
    }

    /** What a touch does at this instant; a knob goes one position on, and from the last one back again, as a hand must. */
    public Action next(Moment moment) {
        if (part.drive() instanceof Drive.ByTurning turning) {
            int now = turning.arranged().indexOf(moment.position(part.tag()).orElseThrow());
            return new Action(Verb.TURN, part.tag(), turning.arranged().get(now + senseAt(now, turning)));
        }
        int target = moment.actuated(part.tag()) ? 0 : 1;
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> !hasStopButton() || verb.getKey() != Verb.RELEASE)
                .filter(verb -> verb.getValue() == target)
                .map(verb -> new Action(verb.getKey(), part.tag()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(part.tag() + " has no way out of its position"));
    }

    private int senseAt(int position, Drive.ByTurning turning) {
        int last = turning.arranged().size() - 1;
        return position == 0 ? 1 : position == last ? -1 : sense;
    }

    private void turn(Drive.ByTurning turning) {
        Moment moment = run.shownProperty().get();
        int now = turning.arranged().indexOf(moment.position(part.tag()).orElseThrow());
        run.takeBack(part.tag());
        pressedAt = run.shownTimeProperty().get();
        Action next = next(moment);
        sense = senseAt(now, turning);
        run.act(next);
    }

    /** Whether it is held down without a hand. */
    public ReadOnlyBooleanProperty latchedProperty() {
        return latched.getReadOnlyProperty();
    }

    /**
     * A hand takes hold.
     *
     * @param hand which hand; taking hold twice with the same one counts once
     */
    public void grip(Object hand) {
        if (!hands.add(hand)) {
            return;
        }
        if (part.drive() instanceof Drive.ByTurning turning) {
            turn(turning);
        } else if (!springsBack()) {
            run.act(next(run.shownProperty().get()));
        } else {
            latched.set(false);
            run.takeBack(part.tag());
            pressedAt = run.shownTimeProperty().get();
            run.act(new Action(Verb.PRESS, part.tag()));
        }
    }

    /** A hand lets go. */
    public void letGo(Object hand) {
        boolean springs = springsBack()
                || part.drive() instanceof Drive.ByTurning turning
                        && !turning.springs().isEmpty();
        if (hands.remove(hand) && springs && hands.isEmpty() && !latched.get()) {
            run.actAt(pressedAt + SHORTEST_TOUCH, new Action(Verb.RELEASE, part.tag()));
        }
    }

    /** All hands let go; what is latched stays down. */
    public void letGoAll() {
        Set.copyOf(hands).forEach(this::letGo);
    }

    /** Holds it down without a hand, or frees it. */
    public void toggleLatch() {
        if (springsBack()) {
            latched.set(!latched.get());
            boolean down = latched.get() || !hands.isEmpty();
            run.act(new Action(down ? Verb.PRESS : Verb.RELEASE, part.tag()));
        }
    }
}
