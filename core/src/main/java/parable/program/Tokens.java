package parable.program;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cuts a text into tokens. */
final class Tokens {

    /** A longer text is refused. */
    static final int MOST_CHARACTERS = 1_000_000;

    /** Ten thousand networks have about so many. */
    private static final int MOST_TOKENS = 100_000;

    private static final Pattern SPACE = Pattern.compile("[ \\t\\r\\n]+");
    private static final Pattern TIME = Pattern.compile(
            "(?:T|TIME)#([0-9.]{1,12}(?:ms|[dhms]))(?:_?([0-9.]{1,12}(?:ms|[dhms]))){0,5}", Pattern.CASE_INSENSITIVE);
    private static final Pattern ADDRESS = Pattern.compile("%[A-Za-z]{1,2}[0-9.]{1,16}");
    private static final Pattern WORD = Pattern.compile("[A-Za-z_][A-Za-z0-9_]*");
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,9}");
    private static final Pattern SIGN = Pattern.compile(":=|>=|<=|<>|[;:(),.<>=+*/&\\[\\]-]");

    private final String text;
    private final Matcher matcher;
    private final List<Token> tokens = new ArrayList<>();
    private int at;
    private int line = 1;
    private int lineBegins;

    private Tokens(String text) {
        this.text = text;
        matcher = SPACE.matcher(text);
    }

    /** The tokens of a text, the last of which is its end. */
    static List<Token> of(String text) throws StructuredTextException {
        if (text.length() > MOST_CHARACTERS) {
            throw new StructuredTextException(
                    1, 1, "a text of " + text.length() + " characters", MOST_CHARACTERS + " at the most");
        }
        return new Tokens(text).cut();
    }

    private List<Token> cut() throws StructuredTextException {
        while (at < text.length()) {
            if (tokens.size() >= MOST_TOKENS) {
                throw new StructuredTextException(
                        line, column(), "more than " + MOST_TOKENS + " words and signs", "a program of fewer");
            }
            boolean found = skip(SPACE)
                    || comment("(*", "*)")
                    || comment("//", "\n")
                    || take(Token.Kind.TIME, TIME)
                    || take(Token.Kind.ADDRESS, ADDRESS)
                    || take(Token.Kind.WORD, WORD)
                    || take(Token.Kind.NUMBER, NUMBER)
                    || take(Token.Kind.SIGN, SIGN);
            if (!found) {
                throw new StructuredTextException(
                        line,
                        column(),
                        "the sign " + text.substring(at, text.offsetByCodePoints(at, 1)),
                        "Structured Text");
            }
        }
        tokens.add(new Token(Token.Kind.END, "", line, column()));
        return tokens;
    }

    private int column() {
        return at - lineBegins + 1;
    }

    private boolean skip(Pattern pattern) {
        if (!isNext(pattern)) {
            return false;
        }
        goTo(matcher.end());
        return true;
    }

    /** Takes a comment; one that runs to the end of its line may end with the text. */
    private boolean comment(String begin, String end) throws StructuredTextException {
        if (!text.startsWith(begin, at)) {
            return false;
        }
        int found = text.indexOf(end, at + begin.length());
        if (found < 0 && !end.equals("\n")) {
            throw new StructuredTextException(line, column(), "a comment that is not closed", end);
        }
        int behind = found < 0 ? text.length() : found;
        tokens.add(new Token(
                Token.Kind.COMMENT, text.substring(at + begin.length(), behind).strip(), line, column()));
        goTo(end.equals("\n") ? behind : behind + end.length());
        return true;
    }

    private boolean take(Token.Kind kind, Pattern pattern) {
        if (!isNext(pattern)) {
            return false;
        }
        tokens.add(new Token(kind, matcher.group(), line, column()));
        goTo(matcher.end());
        return true;
    }

    private boolean isNext(Pattern pattern) {
        return matcher.usePattern(pattern).region(at, text.length()).lookingAt();
    }

    private void goTo(int end) {
        for (; at < end; at++) {
            if (text.charAt(at) == '\n') {
                line++;
                lineBegins = at + 1;
            }
        }
    }
}
