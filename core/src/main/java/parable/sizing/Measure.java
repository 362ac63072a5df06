package parable.sizing;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import parable.parts.Nameplate;

/**
 * A quantity that is written as a number and its unit.
 *
 * @param unit in which it is calculated with; empty for a plain number
 * @param lowest the least that makes sense, in that unit
 * @param highest the most
 * @param others other units that it may be written in, and what one of each is in the unit
 */
public record Measure(String unit, double lowest, double highest, Map<String, Double> others) {

    private static final Pattern WRITTEN = Pattern.compile("([-+]?\\d+(?:\\.\\d+)?) ?(\\S*)");

    /** Not modified: the map is copied in its order. */
    public Measure {
        others = Map.copyOf(others);
    }

    static Measure of(String unit, double lowest, double highest) {
        return new Measure(unit, lowest, highest, Map.of());
    }

    /** The same, which may be written in another unit too. */
    Measure or(String other, double inUnit) {
        Map<String, Double> more = new LinkedHashMap<>(others);
        more.put(other, inUnit);
        return new Measure(unit, lowest, highest, more);
    }

    /**
     * What is written, in the unit.
     *
     * @param place what it is about, for the words of a refusal
     * @throws SizingException if it is no number, has another unit or is out of range
     */
    double read(String place, String written) throws SizingException {
        Matcher number = WRITTEN.matcher(written.strip());
        if (!number.matches() || !(number.group(2).equals(unit) || others.containsKey(number.group(2)))) {
            throw new SizingException(place, written, expected());
        }
        double factor = number.group(2).equals(unit) ? 1 : others.get(number.group(2));
        double value = factor * Double.parseDouble(number.group(1));
        double rounding = 1e-9 * Math.max(1, highest);
        if (!(value >= lowest - rounding && value <= highest + rounding)) {
            throw new SizingException(place, written, expected());
        }
        return value;
    }

    /** What makes sense, in words. */
    String expected() {
        String range =
                Nameplate.figure(lowest) + " to " + Nameplate.figure(highest) + (unit.isEmpty() ? "" : " " + unit);
        String also = others.keySet().stream()
                .filter(one -> !one.isEmpty() && !one.equals(unit))
                .sorted()
                .collect(Collectors.joining(" or "));
        return range + (also.isEmpty() ? "" : ", or in " + also);
    }
}
