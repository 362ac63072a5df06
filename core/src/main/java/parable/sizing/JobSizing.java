package parable.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.check.MotorCircuit;
import parable.circuit.Job;
import parable.circuit.Stated;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingLine;
import parable.ratings.RatingTables;

/**
 * All that is sized of a job: each sheet, and what they have in common.
 *
 * @param inputs what the supply, the feeder and the enclosure rest on; empty if something of it makes no sense
 * @param sheets in the order of the job
 * @param rows a row for each motor
 * @param results of the supply, the feeder and the heat in the panel
 * @param problem why those could not be worked out; empty if they could
 */
public record JobSizing(
        Optional<SizingInputs> inputs,
        List<SheetSizing> sheets,
        List<Row> rows,
        List<SizingResult> results,
        String problem) {

    private static final String ABOUT = "job";

    /** Not modified: the lists are copied. */
    public JobSizing {
        sheets = List.copyOf(sheets);
        rows = List.copyOf(rows);
        results = List.copyOf(results);
    }

    /**
     * A motor in the table of the job. What is not known is empty.
     *
     * @param sheet on which it is
     * @param motor its tag
     * @param title what it drives
     * @param power as it is written
     * @param start how it is started
     * @param current its current by the practice, in A
     * @param overload what its relay is set to
     * @param contactor which
     * @param protection which
     * @param wire which
     * @param drop what is lost on the way while it runs
     * @param starting what its line carries at the start, in A
     * @param control the control transformer and DC supply of its sheet, each with the size it needs
     * @param state whether all is kept, or what is not
     */
    public record Row(
            String sheet,
            String motor,
            String title,
            String power,
            String start,
            String current,
            String overload,
            String contactor,
            String protection,
            String wire,
            String drop,
            String starting,
            String control,
            String state) {

        private static final Pattern NUMBER = Pattern.compile("^\\d+(?:\\.\\d+)?");

        /** The heads of the columns, in the order of the components. */
        public static List<String> heads() {
            return List.of(
                    "Sheet",
                    "Motor",
                    "Drives",
                    "Power",
                    "Start",
                    "Current",
                    "Overload",
                    "Contactor",
                    "Protection",
                    "Wire",
                    "Drop",
                    "At the start",
                    "Control supply",
                    "State");
        }

        /** Puts cells in order: numbers by what they are, words by their letters. */
        public static int compare(String one, String other) {
            Optional<Double> number = number(one);
            Optional<Double> another = number(other);
            return number.isPresent() && another.isPresent()
                    ? Double.compare(number.get(), another.get())
                    : one.compareTo(other);
        }

        private static Optional<Double> number(String cell) {
            Matcher number = NUMBER.matcher(cell);
            return number.find() ? Optional.of(Double.parseDouble(number.group())) : Optional.empty();
        }

        /** The cells, in the order of the heads. */
        public List<String> cells() {
            return List.of(
                    sheet,
                    motor,
                    title,
                    power,
                    start,
                    current,
                    overload,
                    contactor,
                    protection,
                    wire,
                    drop,
                    starting,
                    control,
                    state);
        }
    }

    /**
     * The tables of a job: those that ship, with its own in their place.
     *
     * @throws RatingFormatException if one of its own makes no sense
     */
    public static RatingTables tables(Job job) throws RatingFormatException {
        return RatingTables.of(job.practice()).with(job.sizing().tables());
    }

    /**
     * Sizes a job.
     *
     * @param facts what the circuits of its sheets tell; a sheet that could not be fitted out is left out
     * @param tables of its practice
     */
    public static JobSizing of(Job job, List<SheetFacts> facts, RatingTables tables) {
        List<SheetSizing> sheets = facts.stream()
                .map(one -> SheetSizing.of(one, job.practice(), tables))
                .toList();
        List<Row> rows = new ArrayList<>();
        List<Feeder.MotorBranch> branches = new ArrayList<>();
        List<PanelHeat.Loss> losses = new ArrayList<>();
        for (SheetSizing sheet : sheets) {
            sheet.motors().forEach(motor -> {
                rows.add(row(sheet, motor));
                motor.sizing().ifPresent(sized -> branches.add(branch(sheet, motor.tag(), sized)));
            });
            double watts = sheet.losses().values().stream()
                    .mapToDouble(Double::doubleValue)
                    .sum();
            losses.add(new PanelHeat.Loss(sheet.sheet(), watts));
        }
        try {
            SizingInputs inputs =
                    new SizingInputs(ABOUT, job.practice(), JobQuestion.all(), Map.of(), given(job, true));
            Chain chain = new Chain(ABOUT, tables, given(job, false));
            Optional<RatingLine> wire =
                    branches.isEmpty() ? Optional.empty() : Optional.of(Feeder.add(inputs, chain, branches));
            ProspectiveCurrent.add(inputs, chain, wire);
            if (wire.isPresent()) {
                EarthFault.add(inputs, chain, wire.get(), guarded(facts, sheets));
            }
            PanelHeat.add(inputs, chain, losses);
            return new JobSizing(Optional.of(inputs), sheets, rows, chain.results(), unused(chain));
        } catch (SizingException senseless) {
            return new JobSizing(Optional.empty(), sheets, rows, List.of(), senseless.getMessage());
        }
    }

    /** The motors that have a breaker or fuse of their own. */
    private static List<EarthFault.Guarded> guarded(List<SheetFacts> facts, List<SheetSizing> sheets) {
        List<EarthFault.Guarded> guarded = new ArrayList<>();
        for (int i = 0; i < sheets.size(); i++) {
            SheetSizing sheet = sheets.get(i);
            for (MotorCircuit circuit : facts.get(i).motors()) {
                String tag = circuit.motor().tag();
                circuit.branch().ifPresent(branch -> sheet.motor(tag)
                        .ifPresent(sized -> guarded.add(new EarthFault.Guarded(
                                sheet.sheet() + " " + tag,
                                sized,
                                branch.part().tag(),
                                branch.part().protection().orElseThrow()))));
            }
        }
        return guarded;
    }

    private static String unused(Chain chain) {
        return chain.unused().isEmpty()
                ? ""
                : ABOUT + ": found " + chain.unused().get(0) + ", expected one of its inputs or results";
    }

    private static Map<String, String> given(Job job, boolean questions) {
        Map<String, String> given = new LinkedHashMap<>();
        for (Stated one : job.sizing().stated()) {
            boolean question =
                    JobQuestion.all().stream().anyMatch(asked -> asked.key().equals(one.quantity()));
            if (question == questions) {
                given.put(one.quantity(), one.value());
            }
        }
        return given;
    }

    private static Feeder.MotorBranch branch(SheetSizing sheet, String tag, MotorSizing sized) {
        return new Feeder.MotorBranch(
                sheet.sheet() + " " + tag,
                sized.result("current").orElseThrow().value(),
                sized.start().amperes(),
                sized.result("protection").orElseThrow().value(),
                Stream.of("current", "start-current-of-the-line", "protection")
                        .filter(sized::isOfEdited)
                        .collect(Collectors.toSet()));
    }

    private static Row row(SheetSizing sheet, SheetSizing.Sized<MotorSizing> motor) {
        Optional<MotorSizing> sized = motor.sizing();
        return new Row(
                sheet.sheet(),
                motor.tag(),
                motor.title(),
                sized.map(one -> one.inputs().word(MotorQuestion.POWER)).orElse(""),
                sized.map(one -> one.inputs().word(MotorQuestion.START)).orElse(""),
                written(sized, "current"),
                written(sized, "overload"),
                written(sized, "contactor"),
                written(sized, "protection"),
                written(sized, "wire"),
                written(sized, "drop"),
                written(sized, "start-current-of-the-line"),
                control(sheet),
                sized.map(JobSizing::state).orElse(motor.problem()));
    }

    private static String written(Optional<MotorSizing> sized, String key) {
        String whole =
                sized.flatMap(one -> one.result(key)).map(SizingResult::written).orElse("");
        int more = whole.indexOf(" (");
        return more > 0 ? whole.substring(0, more) : whole;
    }

    private static String control(SheetSizing sheet) {
        return sheet.supplies().stream()
                .flatMap(supply -> supply.sizing().stream()
                        .flatMap(sized -> sized.result("transformer").or(() -> sized.result("direct-supply")).stream())
                        .map(result -> supply.tag() + " " + result.written()))
                .collect(Collectors.joining(", "));
    }

    private static String state(MotorSizing sized) {
        List<String> failing = sized.results().stream()
                .filter(SizingResult::fails)
                .map(SizingResult::name)
                .toList();
        return failing.isEmpty() ? "kept" : "not kept: " + String.join(", ", failing);
    }

    /** The sizing of a sheet, empty if it could not be fitted out. */
    public Optional<SheetSizing> sheet(String name) {
        return sheets.stream().filter(sheet -> sheet.sheet().equals(name)).findFirst();
    }

    /** A result of what the sheets have in common, empty where there is none. */
    public Optional<SizingResult> result(String key) {
        return results.stream().filter(one -> one.key().equals(key)).findFirst();
    }
}
