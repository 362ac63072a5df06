package parable.reach;

import java.util.Arrays;
import java.util.stream.IntStream;

/** What a circuit that is left alone may go round in. Most states it cannot come back to; so those are put aside first. */
final class Rounds {

    /** Those it may come back to, and few others, by their positions, in order. */
    private final int[] states;

    private final UnattendedSteps steps;
    private final Course course;

    Rounds(Drift drift) {
        states = drift.goingOn().positions();
        steps = drift.among(states);
        course = new Course(steps, (from, to) -> true);
    }

    /** The states of rounds that nothing leads out of. */
    IntStream ends() {
        return IntStream.range(0, states.length).filter(course::isEnd).map(at -> states[at]);
    }

    /** The number of the round that a state belongs to, which has to be one that goes round. */
    int number(int state) {
        return course.round(Arrays.binarySearch(states, state));
    }

    /**
     * The states that can be come back to by no other steps than some.
     *
     * @param barred the steps that do not count, from one state to another
     */
    IntStream circling(Course.Successors barred) {
        Course rest = new Course(
                steps,
                (from, to) ->
                        course.comesBack(from) && course.comesBack(to) && !barred.counts(states[from], states[to]));
        return IntStream.range(0, states.length).filter(rest::comesBack).map(at -> states[at]);
    }
}
