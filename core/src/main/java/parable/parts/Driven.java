package parable.parts;

import java.util.Arrays;
import java.util.List;

/**
 * What a motor drives: how long it takes to bring it up, and how the load's torque grows with the speed. Practice: directly on line a pump or a screw is up in
 * 0.3 to 1 s, a fan or a mill in 5 to 15 s.
 */
public enum Driven {
    /** A pump and all of which nothing is said: little mass, a load that grows with the square of the speed. */
    PUMP("pump", 0.8, 0.2),
    /** A heavy wheel in air. */
    FAN("fan", 15, 0.1),
    /** A mill, crusher or saw: a heavy drum or blade; half the torque is there from the beginning. */
    MILL("mill", 14, 0.5),
    /** A belt, screw or gate: the whole torque from the beginning. */
    CONVEYOR("conveyor", 0.9, 1),
    /** A hoist: a weight that hangs from the beginning, and little else that turns. */
    HOIST("hoist", 0.4, 1);

    /** What bearings and fan take of a motor that has no load, in per unit of its rated torque. */
    private static final double BEARINGS = 0.02;

    /** In s, with rated torque and without load. */
    private static final double SLOW = 5;

    private final String word;
    private final double runUp;
    private final double friction;

    Driven(String word, double runUp, double friction) {
        this.word = word;
        this.runUp = runUp;
        this.friction = friction;
    }

    /** The words in a setting, in the order above. */
    static List<String> words() {
        return Arrays.stream(values()).map(driven -> driven.word).toList();
    }

    /** Its word in a setting. */
    String word() {
        return word;
    }

    /** Whether one of these words names something that takes many seconds to come up; no for a word that is none. */
    public static boolean comesUpSlowly(String word) {
        return words().contains(word) && ofWord(word).runUp > SLOW;
    }

    /** That of a word of {@link #words()}. */
    static Driven ofWord(String word) {
        return values()[words().indexOf(word)];
    }

    /** The time in s in which rated torque without load brings it and its motor to full speed, if nothing else is known. */
    double runUp() {
        return runUp;
    }

    /**
     * The torque that load and friction take, against the sense of the speed, in per unit of rated torque.
     *
     * @param load the torque of the load at full speed, in the same unit
     * @param speed in per unit
     */
    public double resistance(double load, double speed) {
        return Math.max(load, BEARINGS) * (friction + (1 - friction) * speed * speed);
    }
}
