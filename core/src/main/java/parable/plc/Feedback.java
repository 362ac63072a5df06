package parable.plc;

import parable.program.Logic;

/**
 * What tells the program whether a contactor is in.
 *
 * @param bit the variable of an input
 * @param mirror whether it is 1 while the contactor is out: a mirror contact does not close while a pole is welded (IEC 60947-4-1, annex F), which no
 *     open contact can promise
 */
record Feedback(String bit, boolean mirror) {

    /** Lets pass while the contactor is in. */
    Logic in() {
        return mirror ? ProgramDraft.zero(bit) : ProgramDraft.one(bit);
    }

    /** Lets pass while it is out. */
    Logic out() {
        return mirror ? ProgramDraft.one(bit) : ProgramDraft.zero(bit);
    }
}
