package parable.reach;

/**
 * What the contacts of a state make of the circuit.
 *
 * @param shorted whether anything is shorted
 * @param driven bit n is set if the motor of number n is fed on a winding
 * @param reversed bit n is set if that motor would turn in reverse
 * @param uneven bit n is set if that motor has three windings and not the same voltage on all of them
 * @param live bit n is set if a terminal of that motor carries voltage
 * @param braked bit n is set if that motor gets direct voltage on a winding and is no motor for direct voltage
 * @param joined whether two supplies have a common point that is not meant
 * @param pulls bit n is set if the coil of the moving part of number n has so much voltage that it pulls in for certain
 * @param holds bit n is set if it has so much that it stays in for certain
 * @param mayPull bit n is set if it may pull in
 * @param mayHold bit n is set if it may stay in
 * @param lit bit n is set if the signal of number n is on
 * @param reads bit n is set if input n of the controller has voltage enough to be read as 1
 * @param scans whether the controller has its supply
 * @param number the same for all that are alike in everything else, counted from 0
 */
public record Conduction(
        boolean shorted,
        long driven,
        long reversed,
        long uneven,
        long live,
        long braked,
        boolean joined,
        long pulls,
        long holds,
        long mayPull,
        long mayHold,
        long lit,
        long reads,
        boolean scans,
        int number) {

    /** Whether another moves everything in the same way, drives the same motors and is shorted or not alike. */
    public boolean movesLike(Conduction other) {
        return shorted == other.shorted
                && driven == other.driven
                && pulls == other.pulls
                && holds == other.holds
                && mayPull == other.mayPull
                && mayHold == other.mayHold
                && joined == other.joined
                && reads == other.reads
                && scans == other.scans;
    }

    /** Whether another is the same in everything but its number. */
    public boolean isLike(Conduction other) {
        return equals(other.numbered(number));
    }

    /** The same by another number. */
    Conduction numbered(int other) {
        return new Conduction(
                shorted, driven, reversed, uneven, live, braked, joined, pulls, holds, mayPull, mayHold, lit, reads,
                scans, other);
    }

    /** Whether it is sure of every coil whether it pulls in and whether it stays in. */
    public boolean isSure() {
        return pulls == mayPull && holds == mayHold;
    }
}
