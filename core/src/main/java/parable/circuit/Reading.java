package parable.circuit;

/**
 * What somebody found at a step of the test sheet.
 *
 * @param step the step
 * @param found what was read or seen, as it was typed; empty if only a remark was made
 * @param remark what there is to say of it, empty if nothing
 * @param by who found it
 * @param on when, such as {@code 2026-11-25 14:05}
 */
public record Reading(String step, String found, String remark, String by, String on) {}
