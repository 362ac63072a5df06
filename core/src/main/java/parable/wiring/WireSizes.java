package parable.wiring;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Practice;

/**
 * The cross-sections of a practice and what they carry.
 *
 * @param sizes from the smallest on
 * @param leastPower the place of the smallest for power circuits
 */
record WireSizes(List<Size> sizes, int leastPower) {

    /** Where no size of the table carries it. */
    static final String BY_CALCULATION = "by calculation";

    private static final String NONE = "none";

    /**
     * A cross-section.
     *
     * @param name as it is ordered
     * @param amperes what it carries in A
     * @param ferrule the colour of its ferrule (DIN 46228-4); {@code none} where the practice does without
     * @param protects up to which A of the protective device a protective conductor of this size goes with it
     */
    record Size(String name, double amperes, String ferrule, double protects) {}

    /** IEC 60204-1:2016, table 6, method B2; protective conductors by table 1: as large up to 16 mm2, then 16 mm2 up to 35 mm2, then half. */
    private static final WireSizes IEC = new WireSizes(
            List.of(
                    new Size("1 mm²", 10.1, "red ferrule", 10.1),
                    new Size("1.5 mm²", 13.1, "black ferrule", 13.1),
                    new Size("2.5 mm²", 17.4, "blue ferrule", 17.4),
                    new Size("4 mm²", 23, "grey ferrule", 23),
                    new Size("6 mm²", 30, "yellow ferrule", 30),
                    new Size("10 mm²", 40, "red ferrule", 40),
                    new Size("16 mm²", 54, "blue ferrule", 86),
                    new Size("25 mm²", 70, "yellow ferrule", 103),
                    new Size("35 mm²", 86, "red ferrule", 130),
                    new Size("50 mm²", 103, "blue ferrule", 156),
                    new Size("70 mm²", 130, "yellow ferrule", 179),
                    new Size("95 mm²", 156, "red ferrule", 179),
                    new Size("120 mm²", 179, "blue ferrule", 179)),
            1);

    /** NEC table 310.16, copper, 60 degrees; 16 AWG by NFPA 79 (12.6.1); protective conductors by NEC table 250.122. */
    private static final WireSizes NORTH_AMERICAN = new WireSizes(
            List.of(
                    new Size("16 AWG", 10, NONE, 10),
                    new Size("14 AWG", 15, NONE, 15),
                    new Size("12 AWG", 20, NONE, 20),
                    new Size("10 AWG", 30, NONE, 60),
                    new Size("8 AWG", 40, NONE, 100),
                    new Size("6 AWG", 55, NONE, 200),
                    new Size("4 AWG", 70, NONE, 300),
                    new Size("3 AWG", 85, NONE, 400),
                    new Size("2 AWG", 95, NONE, 500),
                    new Size("1 AWG", 110, NONE, 600),
                    new Size("1/0 AWG", 125, NONE, 800),
                    new Size("2/0 AWG", 145, NONE, 1000),
                    new Size("3/0 AWG", 165, NONE, 1200),
                    new Size("4/0 AWG", 195, NONE, 1600)),
            1);

    static WireSizes of(Practice practice) {
        return practice == Practice.IEC ? IEC : NORTH_AMERICAN;
    }

    private Stream<Size> from(boolean power) {
        return sizes.stream().skip(power ? leastPower : 0);
    }

    /** The smallest that carries so many A; empty if none does. */
    Optional<String> carrying(double amperes, boolean power) {
        return from(power)
                .filter(size -> size.amperes() >= amperes)
                .map(Size::name)
                .findFirst();
    }

    /** The protective conductor that goes with a device of so many A. */
    String protective(double amperes, boolean power) {
        return from(power)
                .filter(size -> size.protects() >= amperes)
                .map(Size::name)
                .findFirst()
                .orElse(BY_CALCULATION);
    }

    String ferrule(String name) {
        return sizes.stream()
                .filter(size -> size.name().equals(name))
                .map(Size::ferrule)
                .findFirst()
                .orElse(NONE);
    }
}
