package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProbePointTest {

    @ParameterizedTest
    @CsvSource(
            textBlock =
                    """
            5,       wire 5,    ,
            K1:13,   K1 13,     K1, 13
            M1:U1,   M1 U1,     M1, U1
            A1:X:1,  A1 X:1,    A1, X:1
            'L 1',   wire L 1,  ,
            """)
    void aColonMakesATerminalOfIt(String text, String words, String tag, String marking) {
        ProbePoint point = ProbePoint.read(text);

        assertThat(point.text()).isEqualTo(text);
        assertThat(point.words()).isEqualTo(words);
        if (tag == null) {
            assertThat(point.terminal()).isEmpty();
        } else {
            assertThat(point.terminal()).contains(new Terminal(tag, marking));
        }
    }
}
