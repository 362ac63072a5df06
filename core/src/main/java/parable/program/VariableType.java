package parable.program;

import java.util.Arrays;
import java.util.Optional;

/** What a variable of a program is: a bit, or an instance of a standard function block. */
public enum VariableType {
    /** A bit. */
    BOOL,
    /** On-delay timer: its output follows its input once that has been 1 for the preset time. */
    TON,
    /** Off-delay timer: its output stays 1 for the preset time after its input has become 0. */
    TOF,
    /** Pulse timer: each rising edge of its input gives a pulse of the preset time. */
    TP,
    /** Up counter: its output is 1 once it has counted as many rising edges as its preset value. */
    CTU,
    /** Its output is 1 for one scan after its input has become 1. */
    R_TRIG,
    /** Its output is 1 for one scan after its input has become 0. */
    F_TRIG;

    /** Whether it is a timer. */
    public boolean isTimer() {
        return this == TON || this == TOF || this == TP;
    }

    /** The type of this keyword, in capitals or not; empty if there is none. */
    public static Optional<VariableType> ofKeyword(String word) {
        return Arrays.stream(values())
                .filter(type -> type.name().equalsIgnoreCase(word))
                .findFirst();
    }
}
