package parable.ratings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.circuit.Practice;
import parable.circuit.TableCopy;

class RatingTablesTest {

    static Stream<RatingTable> tables() {
        return Stream.of(Practice.values()).flatMap(practice -> RatingTables.of(practice).all().stream());
    }

    @ParameterizedTest
    @MethodSource("tables")
    void everyTableHasItsSourceAndReadsAsItIsWritten(RatingTable table) throws RatingFormatException {
        assertThat(table.source()).isNotBlank();
        assertThat(table.edited()).isFalse();
        assertThat(RatingTable.read(table.written(), false)).isEqualTo(table);
    }

    /** Those of finding faults are lists of names. */
    static Stream<RatingTable> tablesInOrder() {
        return tables().filter(table -> !Set.of("look-times", "fault-weights").contains(table.name()));
    }

    /** What a larger motor takes, what a thicker wire carries, what a warmer place leaves: each column goes one way. */
    @ParameterizedTest
    @MethodSource("tablesInOrder")
    void everyColumnOfNumbersGoesOneWay(RatingTable table) {
        for (String column : table.columns().subList(1, table.columns().size())) {
            List<Double> values = table.lines().stream()
                    .flatMap(line -> line.number(column).stream().boxed())
                    .toList();
            boolean rises = true;
            boolean falls = true;
            for (int i = 1; i < values.size(); i++) {
                rises &= values.get(i) >= values.get(i - 1);
                falls &= values.get(i) <= values.get(i - 1);
            }
            assertThat(rises || falls).as(table.name() + ", " + column).isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "IEC, motor-current, 2.2, 400 V, 4.9",
        "IEC, motor-current, 90, 400 V, 160",
        "IEC, wire, 35, B2, 86",
        "IEC, wire-temperature, 55, PVC, 0.71",
        "NORTH_AMERICAN, motor-current, 30, 460 V, 40",
        "NORTH_AMERICAN, motor-current, 5, 208 V, 16.7",
        "NORTH_AMERICAN, motor-current-single-phase, 2, 115 V, 24",
        "NORTH_AMERICAN, motor-current-dc, 5, 180 V, 27",
        "NORTH_AMERICAN, locked-rotor, 10, 460 V, 81"
    })
    void aRowThatWasLookedUp(Practice practice, String table, String key, String column, double value) {
        assertThat(RatingTables.of(practice)
                        .table(table)
                        .line(key)
                        .orElseThrow()
                        .number(column))
                .hasValue(value);
    }

    @Test
    void betweenTwoRowsEqualRatiosStayEqual() {
        RatingTable table = RatingTables.of(Practice.IEC).table("motor-current");
        double middle = table.between(Math.sqrt(2.2 * 3), "400 V").orElseThrow();
        assertThat(middle).isCloseTo(Math.sqrt(4.9 * 6.5), within(1e-9));
        assertThat(table.between(630, "400 V").orElseThrow()).isCloseTo(1080, within(1e-9));
        assertThat(table.between(0.03, "400 V").orElseThrow()).isCloseTo(0.1, within(1e-9));
        assertThat(table.between(2, "230 V")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '#',
            value = {
                "fuse#nothing to see#table: found nothing to see, expected '= name | title | source', columns and rows",
                "fuse#= fuse | Mine;A;1#table: found = fuse | Mine, expected '= name | title | source'",
                "fuse#= fuse | Mine | own;A;1 | 2#fuse, row 1: found 2 cells, expected 1 cells",
                "fuse#= fuse | Mine | own;A;2;1#fuse, row 1: found 1 after 2, expected rows from the smallest to the largest",
                "fuse#= fuse | Mine | own;A;2;2#fuse, row 2: found this row twice, expected each row once",
                "fuse#= fuse | Mine | own;Amps;2#fuse, columns: found Amps, expected A",
                "candle#= candle | Mine | own;A;2#table: found candle, expected one of"
            })
    void aTableThatMakesNoSenseIsRefusedWithItsPlace(String name, String lines, String words) {
        TableCopy copy = new TableCopy(name, List.of(lines.split(";")));
        assertThatThrownBy(() -> RatingTables.of(Practice.IEC).with(List.of(copy)))
                .isInstanceOf(RatingFormatException.class)
                .hasMessageStartingWith(words);
    }

    @ParameterizedTest
    @EnumSource(Practice.class)
    void aChangedTableIsMarkedAndTheOthersAreNot(Practice practice) throws RatingFormatException {
        RatingTables changed = RatingTables.of(practice)
                .with(List.of(new TableCopy("fuse", List.of("= fuse | Mine | own", "A", "2", "4"))));
        assertThat(changed.table("fuse").edited()).isTrue();
        assertThat(changed.table("breaker").edited()).isFalse();
        RatingTables same = RatingTables.of(practice)
                .with(List.of(new TableCopy(
                        "fuse", RatingTables.of(practice).table("fuse").written())));
        assertThat(same.table("fuse").edited()).isFalse();
    }
}
