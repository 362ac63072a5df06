package parable.program;

/** What was found somewhere, as a message shows it: no longer than can be read at a glance, and with nothing in it that cannot be seen. */
public final class Excerpt {

    private static final int MOST = 120;
    private static final int MOST_EXPECTED = 1_000;

    private Excerpt() {}

    /** The beginning of a text, with a sign in the place of each character that controls something or is only half of one. */
    public static String of(String found) {
        return of(found, MOST);
    }

    /** The beginning of what would be right there; a list of all that could be is longer than what can be found. */
    public static String expected(String words) {
        return of(words, MOST_EXPECTED);
    }

    private static String of(String found, int most) {
        int end = Math.min(most, found.length());
        StringBuilder shown = new StringBuilder();
        for (int i = 0; i < end; i++) {
            char sign = found.charAt(i);
            boolean pair = Character.isHighSurrogate(sign)
                    && i + 1 < found.length()
                    && Character.isLowSurrogate(found.charAt(i + 1));
            if (pair) {
                shown.append(sign).append(found.charAt(++i));
            } else {
                int type = Character.getType(sign);
                boolean seen = type != Character.CONTROL
                        && type != Character.FORMAT
                        && type != Character.SURROGATE
                        && type != Character.UNASSIGNED;
                shown.append(seen ? sign : '\uFFFD');
            }
        }
        return found.length() > end ? shown.append('\u2026').toString() : shown.toString();
    }
}
