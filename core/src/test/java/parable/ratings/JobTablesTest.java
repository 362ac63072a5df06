package parable.ratings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.TableCopy;
import parable.desk.DeskLine;
import parable.desk.DeskStroke;
import parable.desk.Stretch;
import parable.parts.Assembly;
import parable.parts.Load;
import parable.parts.PartException;
import parable.parts.Source;
import parable.starters.MotorData;
import parable.starters.Starter;
import parable.starters.Supply;
import parable.starters.Wish;
import parable.wiring.WireList;

/** Bench, parts, wire list and starters go by the tables that the job keeps. */
class JobTablesTest {

    private static final Sheet PUMP = bare(Examples.ofLibrary("Wash pump"));

    /** Without what its nameplates say, so that the tables decide. */
    private static Sheet bare(Sheet sheet) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("M1") ? device.with("current", "") : device)
                .toList());
    }

    private static JobTables edited(String name, int column, DoubleUnaryOperator change) throws RatingFormatException {
        RatingTable table = RatingTables.of(Practice.IEC).table(name);
        List<String> lines = new ArrayList<>();
        for (String line : table.written()) {
            String[] cells = line.split(" \\| ");
            if (lines.size() > 1 && column < cells.length && cells[column].matches("[0-9.]+")) {
                cells[column] = "" + change.applyAsDouble(Double.parseDouble(cells[column]));
            }
            lines.add(String.join(" | ", cells));
        }
        return JobTables.of(Practice.IEC, List.of(new TableCopy(name, lines)));
    }

    private static Load load(String tag, JobTables tables) throws PartException {
        return Assembly.of(PUMP, tables).part(tag).orElseThrow().loads().get(0);
    }

    private static double voltAmperes(Load load) {
        double volts = load.rated().volts();
        return Math.hypot(load.watts(volts), load.vars(volts));
    }

    private static double shareAtRatedLoad(JobTables tables) throws PartException {
        Source source =
                Assembly.of(PUMP, tables).part("T1").orElseThrow().sources().get(0);
        return source.share(source.following().orElseThrow().regulation().rated(), 0);
    }

    @Test
    void aMotorTakesTheCurrentOfTheJobsTable() throws PartException, RatingFormatException {
        JobTables tables = edited("motor-current", 1, amperes -> 1.2 * amperes);

        assertThat(voltAmperes(load("M1", tables)))
                .isCloseTo(1.2 * voltAmperes(load("M1", JobTables.SHIPPED)), withinPercentage(0.1));
    }

    @Test
    void aCoilTakesWhatTheJobsTableSays() throws PartException, RatingFormatException {
        JobTables tables = edited("contactor", 2, held -> held / 2);

        assertThat(voltAmperes(load("K1", tables)))
                .isCloseTo(voltAmperes(load("K1", JobTables.SHIPPED)) / 2, withinPercentage(0.1));
    }

    @Test
    void aTransformerDropsWhatTheJobsTableSays() throws PartException, RatingFormatException {
        JobTables tables = edited("control-transformer", 1, drop -> 2 * drop);

        assertThat(1 - shareAtRatedLoad(tables)).isCloseTo(2 * (1 - shareAtRatedLoad(JobTables.SHIPPED)), within(1e-9));
    }

    @Test
    void theWireListTakesWhatTheJobsTableLetsAWireCarry() throws PartException, RatingFormatException {
        JobTables tables = edited("wire", 2, amperes -> amperes / 4);

        assertThat(sizes(tables)).isNotEqualTo(sizes(JobTables.SHIPPED)).contains("10 mm²");
    }

    private static Set<String> sizes(JobTables tables) throws PartException {
        return WireList.of(Assembly.of(PUMP, tables), Practice.IEC).wires().stream()
                .map(wire -> wire.conductor().size())
                .collect(Collectors.toSet());
    }

    @Test
    void aStarterIsDrawnByTheJobsTables() throws RatingFormatException {
        JobTables tables = edited("motor-current", 1, amperes -> 2 * amperes);
        Device motor = drawn(tables).device("M1").orElseThrow();
        Device contactor = drawn(tables).device("K1").orElseThrow();

        assertThat(motor.figure("current")).contains(9.8);
        assertThat(contactor.figure("rated").orElseThrow())
                .isGreaterThan(drawn(JobTables.SHIPPED)
                        .device("K1")
                        .orElseThrow()
                        .figure("rated")
                        .orElseThrow());
    }

    @Test
    void aFurtherMotorIsDrawnByTheJobsTables() throws PartException, RatingFormatException {
        Assembly pump = Assembly.of(PUMP, edited("motor-current", 1, amperes -> 2 * amperes));
        Optional<Stretch> breaker = Stretch.at(PUMP, new Place(Circuit.POWER, 0, 2));
        DeskLine line = new DeskLine(pump, Conventions.of(Practice.IEC), "230 V AC", breaker, DeskStroke.AFTER, "M2");

        Sheet drawn = line.preview().sheet().orElseThrow();

        assertThat(drawn.device("M2").orElseThrow().figure("current")).contains(9.8);
        assertThat(drawn.devices().stream().filter(device -> device.kind().equals("overload-relay")))
                .extracting(device -> device.setting("setting").orElse(""))
                .contains("9.8 A");
    }

    private static Sheet drawn(JobTables tables) {
        MotorData motor = MotorData.of("Pump", "cellar", Supply.IEC_400, "2.2 kW", tables);
        return Starter.of(new Wish(
                        "Pump", Conventions.of(Practice.IEC), tables, motor, List.of("door"), Set.of(), Map.of()))
                .sheet();
    }

    /** An edit of the circuit keeps the tables, and a job whose own make no sense goes by those that ship. */
    @Test
    void anEditKeepsThem() throws PartException, RatingFormatException {
        JobTables tables = edited("wire", 2, amperes -> amperes / 4);
        Job job = new Job("Tern Hollow", Practice.IEC, List.of(PUMP), Extras.NONE);

        assertThat(Assembly.of(PUMP, tables).on(PUMP.withClaims(List.of())).tables())
                .isEqualTo(tables);
        assertThat(JobTables.of(job)).isSameAs(JobTables.SHIPPED);
        assertThat(JobTables.problem(job)).isEmpty();
        Job senseless =
                job.with(SizingBasis.NONE.withTables(List.of(new TableCopy("wire", List.of("= wire | nothing")))));
        assertThat(JobTables.of(senseless)).isSameAs(JobTables.SHIPPED);
        assertThat(JobTables.problem(senseless)).get().asString().contains("= wire | nothing");
    }
}
