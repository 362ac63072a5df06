package parable.program;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The place of a bit in the controller, written {@code %IX0.0} (IEC 61131-3, directly represented variables).
 *
 * @param area where
 * @param number of the byte, 0 to 9999
 * @param bit of the byte, 0 to 7
 */
public record Address(Area area, int number, int bit) implements Comparable<Address> {

    private static final Pattern WRITTEN = Pattern.compile("%([IQM])X(\\d{1,4})\\.([0-7])");

    /** The areas of a controller's memory. */
    public enum Area {
        /** What the input terminals read at the beginning of a scan. */
        INPUT('I'),
        /** What the output terminals are told at the end of a scan. */
        OUTPUT('Q'),
        /** What the program remembers. */
        MEMORY('M');

        private final char letter;

        Area(char letter) {
            this.letter = letter;
        }

        private static Area of(char letter) {
            return letter == 'I' ? INPUT : letter == 'Q' ? OUTPUT : MEMORY;
        }
    }

    public Address {
        if (number < 0 || number > 9999 || bit < 0 || bit > 7) {
            throw new IllegalArgumentException(
                    "an address needs a byte from 0 to 9999 and a bit from 0 to 7, found " + number + "." + bit);
        }
    }

    /** Reads an address, empty if it is not one. */
    public static Optional<Address> read(String written) {
        Matcher matcher = WRITTEN.matcher(written);
        return matcher.matches()
                ? Optional.of(new Address(
                        Area.of(matcher.group(1).charAt(0)),
                        Integer.parseInt(matcher.group(2)),
                        Integer.parseInt(matcher.group(3))))
                : Optional.empty();
    }

    /** As it is written: {@code %QX0.1}. */
    @Override
    public String toString() {
        return "%" + area.letter + "X" + number + "." + bit;
    }

    /** By area, byte and bit. */
    @Override
    public int compareTo(Address other) {
        int byArea = area.compareTo(other.area);
        return byArea != 0 ? byArea : Integer.compare(8 * number + bit, 8 * other.number + other.bit);
    }
}
