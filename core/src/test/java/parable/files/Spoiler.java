package parable.files;

import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Spoils texts: by signs, by pieces, and by the values in them. The same random numbers spoil alike. */
final class Spoiler {

    private static final List<String> ODD = List.of(
            "\0",
            "\u001b",
            "\ud800",
            "\udc00",
            "\ufeff",
            "\u202e",
            "\uffff",
            "\ud83d\ude00",
            "\u0660",
            "\uff1d",
            "\"",
            "\\",
            "{",
            "}",
            "[",
            "]",
            "(*",
            "*)",
            "//",
            ";",
            ":",
            ",",
            "@",
            "-",
            "--",
            "1e999999999",
            "-0",
            "99999999999999999999",
            "0.00000000000000001",
            "NaN",
            "null",
            "true",
            "{}",
            "[]",
            "\"\"",
            "<",
            ">",
            "&",
            "&amp;",
            "<!DOCTYPE x>",
            "]]>",
            "\n",
            "\r\n",
            "\t",
            "  ",
            "@1",
            "@2",
            "N",
            "L",
            "K1",
            "K1[A1-A2]",
            "[13-14]",
            "T#5s",
            "T#99999999d",
            "%IX0.0",
            "9 kV",
            "-5 A",
            "0 V AC",
            "1e9 A",
            "400 V AC",
            "100000 h",
            "0 ms",
            "press S1",
            "expect",
            "U+0000",
            "../../etc/passwd",
            "=1+1",
            "%s%n",
            "${x}");

    private static final Pattern TOKEN = Pattern.compile("\"[^\"\\n]*\"|[A-Za-z0-9_.]+|\\S");
    private static final int MOST_AT_ONCE = 4;

    private final Random random;
    private final List<UnaryOperator<String>> ways;

    Spoiler(long seed) {
        random = new Random(seed);
        ways = List.of(
                this::flipped,
                this::insertedOdd,
                this::insertedOdd,
                this::cut,
                this::shortened,
                this::doubled,
                this::manyTimes,
                this::exchanged,
                this::otherToken,
                this::otherToken,
                this::otherNumber,
                this::withoutLine,
                this::nested);
    }

    /** One of several texts, spoilt once or a few times. */
    String spoilt(List<String> texts) {
        String text = texts.get(random.nextInt(texts.size()));
        int times = 1 + (random.nextInt(3) == 0 ? random.nextInt(MOST_AT_ONCE) : 0);
        for (int i = 0; i < times; i++) {
            text = ways.get(random.nextInt(ways.size())).apply(text);
        }
        return text;
    }

    private int place(String text) {
        return random.nextInt(text.length() + 1);
    }

    private int length(String text, int from) {
        return Math.min(text.length() - from, 1 + random.nextInt(random.nextInt(4) == 0 ? 400 : 12));
    }

    private String flipped(String text) {
        if (text.isEmpty()) {
            return "\0";
        }
        int at = random.nextInt(text.length());
        char other = (char) (text.charAt(at) ^ 1 << random.nextInt(8));
        return text.substring(0, at) + other + text.substring(at + 1);
    }

    private String insertedOdd(String text) {
        int at = place(text);
        return text.substring(0, at) + ODD.get(random.nextInt(ODD.size())) + text.substring(at);
    }

    private String cut(String text) {
        int at = place(text);
        return text.substring(0, at) + text.substring(at + length(text, at));
    }

    private String shortened(String text) {
        return text.substring(0, place(text));
    }

    private String doubled(String text) {
        int at = place(text);
        int end = at + length(text, at);
        return text.substring(0, end) + text.substring(at);
    }

    private String manyTimes(String text) {
        int at = place(text);
        int end = at + Math.min(8, length(text, at));
        return text.substring(0, at) + text.substring(at, end).repeat(1 + random.nextInt(300)) + text.substring(end);
    }

    private String exchanged(String text) {
        int at = place(text);
        int middle = at + length(text, at);
        int end = middle + length(text, middle);
        return text.substring(0, at) + text.substring(middle, end) + text.substring(at, middle) + text.substring(end);
    }

    /** A word, a sign or a text in quotes in the place of another, from somewhere else in the same text. */
    private String otherToken(String text) {
        int[] one = token(text);
        int[] other = token(text);
        return text.substring(0, one[0]) + text.substring(other[0], other[1]) + text.substring(one[1]);
    }

    private String otherNumber(String text) {
        int[] one = token(text);
        String number = Long.toString(random.nextLong() >> random.nextInt(64));
        return text.substring(0, one[0]) + number + text.substring(one[1]);
    }

    private int[] token(String text) {
        Matcher tokens = TOKEN.matcher(text);
        return tokens.find(place(text)) || tokens.find(0) ? new int[] {tokens.start(), tokens.end()} : new int[] {0, 0};
    }

    private String withoutLine(String text) {
        List<String> lines = new java.util.ArrayList<>(text.lines().toList());
        if (!lines.isEmpty()) {
            lines.remove(random.nextInt(lines.size()));
        }
        return String.join("\n", lines) + "\n";
    }

    private String nested(String text) {
        int at = place(text);
        String bracket = List.of("[", "{\"a\":", "(", "NOT ", "<a>", "(*", "\"").get(random.nextInt(7));
        return text.substring(0, at) + bracket.repeat(1 + random.nextInt(3_000)) + text.substring(at);
    }
}
