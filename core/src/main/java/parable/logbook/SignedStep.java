package parable.logbook;

/**
 * A step of a test sheet as it was when the sheet was signed.
 *
 * @param step what was to be done and read, in full
 * @param expected what had to be found
 * @param found what was found
 * @param verdict what that came to
 * @param remark what there was to say of it, empty if nothing
 * @param by who found it
 * @param on when, such as {@code 2026-11-25 14:05}
 * @param revision the circuit it was found on
 */
public record SignedStep(
        String step,
        String expected,
        String found,
        String verdict,
        String remark,
        String by,
        String on,
        String revision) {}
