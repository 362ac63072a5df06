package parable.wiring;

/**
 * What a wire is made of.
 *
 * @param colour such as {@code red}
 * @param size such as {@code 1 mm²} or {@code 16 AWG}
 * @param ferrule what goes on its ends, such as {@code red ferrule}; {@code none} where the practice does without
 */
public record Conductor(String colour, String size, String ferrule) {}
