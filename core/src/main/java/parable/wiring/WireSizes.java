package parable.wiring;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/** The cross-sections of a practice and what they carry, by its tables {@code wire} and {@code protective-conductor}. */
final class WireSizes {

    /** Where no size of the table carries it. */
    static final String BY_CALCULATION = "by calculation";

    private static final String NONE = "none";

    /** Without another word wires are laid by method B2, and terminals are for 60 degrees. */
    private static final Map<Practice, String> COLUMNS = Map.of(Practice.IEC, "B2", Practice.NORTH_AMERICAN, "60 °C");

    /** The thinnest for control and for power circuits. */
    private static final Map<Practice, List<String>> LEAST =
            Map.of(Practice.IEC, List.of("1", "1.5"), Practice.NORTH_AMERICAN, List.of("16 AWG", "14 AWG"));

    /** The largest that is proposed; beyond it a wire is calculated. */
    private static final Map<Practice, String> MOST = Map.of(Practice.IEC, "120", Practice.NORTH_AMERICAN, "4/0 AWG");

    /** The colours of ferrules (DIN 46228-4). */
    private static final Map<String, String> FERRULES = Map.ofEntries(
            Map.entry("0.75 mm²", "grey ferrule"),
            Map.entry("1 mm²", "red ferrule"),
            Map.entry("1.5 mm²", "black ferrule"),
            Map.entry("2.5 mm²", "blue ferrule"),
            Map.entry("4 mm²", "grey ferrule"),
            Map.entry("6 mm²", "yellow ferrule"),
            Map.entry("10 mm²", "red ferrule"),
            Map.entry("16 mm²", "blue ferrule"),
            Map.entry("25 mm²", "yellow ferrule"),
            Map.entry("35 mm²", "red ferrule"),
            Map.entry("50 mm²", "blue ferrule"),
            Map.entry("70 mm²", "yellow ferrule"),
            Map.entry("95 mm²", "red ferrule"),
            Map.entry("120 mm²", "blue ferrule"));

    private final Practice practice;
    private final RatingTable wires;
    private final RatingTable protective;

    private WireSizes(RatingTables tables) {
        practice = tables.practice();
        wires = tables.table("wire");
        protective = tables.table("protective-conductor");
    }

    static WireSizes of(RatingTables tables) {
        return new WireSizes(tables);
    }

    private Stream<RatingLine> from(boolean power) {
        List<RatingLine> lines = wires.lines();
        int first =
                lines.indexOf(wires.line(LEAST.get(practice).get(power ? 1 : 0)).orElseThrow());
        int last = lines.indexOf(wires.line(MOST.get(practice)).orElseThrow());
        return lines.subList(first, last + 1).stream();
    }

    private Optional<RatingLine> line(double amperes, boolean power) {
        return from(power)
                .filter(line -> line.number(COLUMNS.get(practice)).orElse(0) >= amperes)
                .findFirst();
    }

    private String name(String key) {
        return practice == Practice.IEC ? key + " mm²" : key;
    }

    /** The smallest that carries so many A; empty if none does. */
    Optional<String> carrying(double amperes, boolean power) {
        return line(amperes, power).map(line -> name(line.key()));
    }

    /** The protective conductor that goes with a device of so many A. */
    String protective(double amperes, boolean power) {
        if (practice == Practice.IEC) {
            return line(amperes, power)
                    .flatMap(line -> protective.line(line.key()))
                    .map(line -> name(line.word("PE")))
                    .orElse(BY_CALCULATION);
        }
        String least = LEAST.get(practice).get(power ? 1 : 0);
        return protective
                .from(amperes)
                .map(line -> line.word("AWG"))
                .map(size -> isSmaller(size, least) ? least : size)
                .orElse(BY_CALCULATION);
    }

    private boolean isSmaller(String size, String other) {
        return wires.lines().indexOf(wires.line(size).orElseThrow())
                < wires.lines().indexOf(wires.line(other).orElseThrow());
    }

    String ferrule(String name) {
        return FERRULES.getOrDefault(name, NONE);
    }
}
