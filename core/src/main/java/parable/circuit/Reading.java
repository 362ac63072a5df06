package parable.circuit;

/**
 * What somebody found at a step of the test sheet.
 *
 * @param step the step
 * @param found what was read or seen, as it was typed; empty if only a remark was made
 * @param remark what there is to say of it, empty if nothing
 * @param by who found it
 * @param on when, such as {@code 2026-11-25 14:05}
 * @param revision the circuit it was taken on, as the record names it; empty if that was not kept
 * @param basis what of that circuit it rests on, empty if that was not kept; it is stale once the circuit has another
 * @param extras unknown fields
 */
public record Reading(
        String step, String found, String remark, String by, String on, String revision, String basis, Extras extras) {

    /** A reading of which it was not kept on what circuit it was taken. */
    public Reading(String step, String found, String remark, String by, String on) {
        this(step, found, remark, by, on, "", "", Extras.NONE);
    }

    /** The same reading of a step by another name, on what it rests on then. */
    Reading renamed(String otherStep, String otherRevision, String otherBasis) {
        return new Reading(otherStep, found, remark, by, on, otherRevision, otherBasis, extras);
    }
}
