package parable.testsheet;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/** What somebody wrote down, read as a number or a word and held against what was expected. */
final class WrittenReading {

    private WrittenReading() {}

    /** The number at the beginning of what somebody wrote down, with k, M, G and m for thousands, millions, thousand millions and thousandths; empty if there is none. */
    static OptionalDouble number(String written) {
        String text = written.strip().replace(',', '.');
        int end = 0;
        while (end < text.length() && "+-.0123456789".indexOf(text.charAt(end)) >= 0) {
            end++;
        }
        try {
            return OptionalDouble.of(Double.parseDouble(text.substring(0, end))
                    * prefix(text.substring(end).strip()));
        } catch (NumberFormatException none) {
            return OptionalDouble.empty();
        }
    }

    private static double prefix(String unit) {
        if (unit.isEmpty()) {
            return 1;
        }
        return switch (unit.charAt(0)) {
            case 'k', 'K' -> 1e3;
            case 'M' -> 1e6;
            case 'G' -> 1e9;
            case 'm' -> 1e-3;
            default -> 1;
        };
    }

    /** The number behind a sign for more than, as an instrument shows what is beyond its range; the number itself without one. */
    static OptionalDouble atLeast(String written) {
        return number(written.strip().replaceFirst("^[>\u2265]", ""));
    }

    private static boolean isAsExpected(String written) {
        return List.of("ok", "yes", "as expected").contains(written.strip().toLowerCase(Locale.ROOT));
    }

    static boolean isOpen(String written) {
        return List.of("open", "ol", "o.l.", "inf").contains(written.strip().toLowerCase(Locale.ROOT));
    }

    static boolean isNear(Found expected, String written, double share, double least) {
        OptionalDouble number = number(written);
        return isSame(expected, written)
                || number.isPresent()
                        && expected.value()
                                .filter(value -> Math.abs(number.getAsDouble() - value)
                                        <= Math.max(least, share * Math.abs(value)) + Observation.EDGE)
                                .isPresent();
    }

    static boolean isSame(Found expected, String written) {
        return isAsExpected(written) || expected.text().strip().equalsIgnoreCase(written.strip());
    }
}
