package parable.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TokensTest {

    private static String words(String text) throws StructuredTextException {
        return String.join(
                " | ",
                Tokens.of(text).stream()
                        .filter(token -> token.kind() != Token.Kind.END)
                        .map(token -> token.kind() + " " + token.text())
                        .toList());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "K1 := S0 AND NOT K2 ; WORD K1 | SIGN := | WORD S0 | WORD AND | WORD NOT | WORD K2",
                "K1:=S0 ; WORD K1 | SIGN := | WORD S0",
                "a>=b<=c<>d ; WORD a | SIGN >= | WORD b | SIGN <= | WORD c | SIGN <> | WORD d",
                "T#3s ; TIME T#3s",
                "time#1h2m3s ; TIME time#1h2m3s",
                "T#1.5s_250ms ; TIME T#1.5s_250ms",
                "%IX0.3 %QW12 ; ADDRESS %IX0.3 | ADDRESS %QW12",
                "x1_2 12 ; WORD x1_2 | NUMBER 12",
                "12x ; NUMBER 12 | WORD x",
                "T1 ; WORD T1",
                "(a)*b ; SIGN ( | WORD a | SIGN ) | SIGN * | WORD b",
                "a[1]-2 ; WORD a | SIGN [ | NUMBER 1 | SIGN ] | SIGN - | NUMBER 2"
            })
    void aTextIsCutIntoWordsSignsTimesAndAddresses(String text, String expected) throws StructuredTextException {
        assertThat(words(text)).isEqualTo(expected);
    }

    @Test
    void commentsAreKeptWithoutTheirSigns() throws StructuredTextException {
        assertThat(words("a (* first\nsecond *) b // to the end\nc //"))
                .isEqualTo("WORD a | COMMENT first\nsecond | WORD b | COMMENT to the end | WORD c | COMMENT ");
    }

    @Test
    void everyTokenKnowsItsLineAndColumn() throws StructuredTextException {
        List<Token> tokens = Tokens.of("K1 := S0;\n\n  (* one\n two *) K2\r\n:= S1;");

        assertThat(tokens)
                .extracting(token -> token.text() + "@" + token.line() + ":" + token.column())
                .containsExactly(
                        "K1@1:1",
                        ":=@1:4",
                        "S0@1:7",
                        ";@1:9",
                        "one\n two@3:3",
                        "K2@4:9",
                        ":=@5:1",
                        "S1@5:4",
                        ";@5:6",
                        "@5:7");
    }

    @Test
    void aTextOfNothingIsItsEnd() throws StructuredTextException {
        assertThat(Tokens.of(" \t\r\n ")).singleElement().satisfies(end -> {
            assertThat(end.kind()).isEqualTo(Token.Kind.END);
            assertThat(end.line()).isEqualTo(2);
        });
    }

    @ParameterizedTest
    @CsvSource({
        "'K1 := S0 \u20ac', 1, 10, the sign \u20ac",
        "'a\n  b ! c', 2, 5, the sign !",
        "'a (* b', 1, 3, a comment that is not closed",
        "'\uD83D\uDD0C', 1, 1, the sign \uD83D\uDD0C"
    })
    void whatIsNoStructuredTextIsRefusedWhereItIs(String text, int line, int column, String found) {
        assertThatExceptionOfType(StructuredTextException.class)
                .isThrownBy(() -> Tokens.of(text))
                .withMessageContaining("line " + line)
                .withMessageContaining("column " + column)
                .withMessageContaining(found);
    }

    /** However large, refused by size or cut in one pass. */
    @ParameterizedTest
    @ValueSource(strings = {"(", "a ", "1", "(*", "%IX0.0 ", "T#1s ", "\n"})
    void nothingIsTooLong(String piece) {
        assertThatExceptionOfType(StructuredTextException.class)
                .isThrownBy(() -> Tokens.of(piece.repeat(1_000_001 / piece.length() + 1)))
                .withMessageContaining("1000000");
        if (!piece.equals("1") && !piece.equals("\n")) {
            assertThatExceptionOfType(StructuredTextException.class)
                    .isThrownBy(() -> Tokens.of(piece.repeat(120_000)))
                    .withMessageMatching("(?s).*(100000|not closed).*");
        }
    }

    /** What is read again from its own tokens is the same. */
    @Test
    void spacesMeanNothing() throws StructuredTextException {
        for (int seed = 0; seed < 60; seed++) {
            String text = StructuredText.write(Programs.by(seed));
            List<String> kinds = Tokens.of(text).stream()
                    .map(token -> token.kind() + token.text())
                    .toList();
            String wide = text.replace(";", " \t; ").replace(":=", "\n:= ").replace("(", " ( ");
            List<String> again = Tokens.of(wide.replace("( *", "(*")).stream()
                    .map(token -> token.kind() + token.text())
                    .toList();

            assertThat(again.stream().filter(one -> !one.startsWith("COMMENT")))
                    .as("seed %s", seed)
                    .containsExactlyElementsOf(kinds.stream()
                            .filter(one -> !one.startsWith("COMMENT"))
                            .toList());
        }
    }
}
