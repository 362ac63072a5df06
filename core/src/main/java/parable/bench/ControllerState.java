package parable.bench;

import java.util.BitSet;
import java.util.Optional;
import parable.program.ProgramRun;

/**
 * What the controller of a sheet is at an instant. Not modified.
 *
 * @param awake whether it has its supply and its switch stands on run
 * @param levels the numbers of the inputs whose terminals have voltage enough to be read as 1
 * @param read the same, as far as it has passed the filters
 * @param scanned when it scanned last, in microseconds; when it woke if it has not scanned since
 * @param run the program as of the last scan, empty if there is none
 */
record ControllerState(boolean awake, BitSet levels, BitSet read, long scanned, Optional<ProgramRun> run) {

    /** Without supply, or without being there at all. */
    static final ControllerState ASLEEP = new ControllerState(false, new BitSet(), new BitSet(), 0, Optional.empty());

    ControllerState withLevel(int input, boolean one) {
        return new ControllerState(awake, changed(levels, input, one), read, scanned, run);
    }

    ControllerState withRead(int input, boolean one) {
        return new ControllerState(awake, levels, changed(read, input, one), scanned, run);
    }

    ControllerState scanned(long time, Optional<ProgramRun> after) {
        return new ControllerState(awake, levels, read, time, after);
    }

    /** Woken, or put to sleep, with everything forgotten that the program knew. */
    ControllerState awake(boolean now, long time, Optional<ProgramRun> fresh) {
        return new ControllerState(now, levels, read, time, fresh);
    }

    private static BitSet changed(BitSet set, int bit, boolean value) {
        BitSet changed = (BitSet) set.clone();
        changed.set(bit, value);
        return changed;
    }
}
