package parable.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RungNotationTest {

    private final RungNotation notation = new RungNotation(Set.of("L", "N"));

    @ParameterizedTest
    @ValueSource(
            strings = {
                "L S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N",
                "@4 K1[13-14] @5 ; holds itself in",
                "G1[L1] @L1 Q1[1-2] @1L1 K1[1-2] M1[U1]",
                "L @4",
                "L V1[+--] N",
                "G2[-] N"
            })
    void whatIsReadIsWrittenTheSame(String line) throws RungSyntaxException {
        assertThat(notation.read(line).text()).isEqualTo(line);
    }

    @Test
    void spacesAreOfNoAccount() throws RungSyntaxException {
        assertThat(notation.read("  L   K1[A1-A2]\tN  ;  run ").text()).isEqualTo("L K1[A1-A2] N ; run");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "L S0[11-12 N          | 3 | S0[11-12 | @number, TAG[from-to]",
                "L1 K1[A1-A2] N        | 1 | L1       | a rail (L, N)",
                "L K1[A1-A2]           | 1 | K1[A1-A2] | mid-air at K1[A1-A2]",
                "L M1[U1] N            | 1 | L M1[U1] N | M1[U1] can only begin or end a rung",
                "L                     | 1 | L        | a beginning and an end"
            })
    void aBrokenLineIsRefusedAtItsPlace(String line, int column, String found, String expected) {
        assertThatExceptionOfType(RungSyntaxException.class)
                .isThrownBy(() -> notation.read(line))
                .satisfies(refused -> assertThat(refused.column()).isEqualTo(column))
                .satisfies(refused -> assertThat(refused.found()).contains(found.strip()))
                .withMessageContaining(expected.strip());
    }
}
