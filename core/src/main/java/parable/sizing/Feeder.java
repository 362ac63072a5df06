package parable.sizing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/** The feeder of a job: what its motors take together, its wire, its protection, and the peak when the last of them starts. */
final class Feeder {

    private static final double LARGEST = 1.25;
    private static final double RUNNING_FACTOR = 0.8;
    private static final double STARTING_FACTOR = 0.35;
    private static final double LEAST_METRIC = 1.5;
    private static final String CONTROL_GAUGE = "16 AWG";

    private Feeder() {}

    /**
     * A motor on the feeder.
     *
     * @param name of its sheet and its tag
     * @param amperes at rated load
     * @param starting what the line carries at the start, in A
     * @param device the rating of the protection of its branch, in A
     * @param ofEdited the keys of those of its results that rest on an edited table
     */
    record MotorBranch(String name, double amperes, double starting, double device, Set<String> ofEdited) {}

    private static boolean isOfEdited(List<MotorBranch> branches, String... keys) {
        return Stream.of(keys).anyMatch(key -> branches.stream()
                .anyMatch(branch -> branch.ofEdited().contains(key)));
    }

    /** Adds the feeder of some motors, at least one, and gives the row of its wire. */
    static RatingLine add(SizingInputs inputs, Chain chain, List<MotorBranch> branches) throws SizingException {
        boolean iec = inputs.practice() == Practice.IEC;
        double sum = branches.stream().mapToDouble(MotorBranch::amperes).sum();
        MotorBranch largest = branches.stream()
                .max(Comparator.comparingDouble(MotorBranch::amperes))
                .orElseThrow();
        double demand = inputs.number(JobQuestion.DEMAND) / 100;
        ResultDraft current =
                ResultDraft.of("feeder-current", iec ? "Current of the feeder" : "Feeder carries at least");
        current.follows(isOfEdited(branches, "current"));
        branches.forEach(branch -> current.from(branch.name(), branch.amperes(), "A"));
        double needed = chain.add(
                iec
                        ? current.from("demand " + inputs.word(JobQuestion.DEMAND))
                                .is(demand * sum, "A")
                                .by(
                                        "the sum of the rated currents, times the share that runs together",
                                        "IEC 60204-1, 12.4")
                        : current.is(LARGEST * largest.amperes() + sum - largest.amperes(), "A")
                                .by("1.25 times the largest and all others", "NFPA 70, 430.24"));
        RatingLine wire = iec ? metric(inputs, chain, needed) : gauge(inputs, chain, needed);
        if (!iec) {
            MotorBranch most = branches.stream()
                    .max(Comparator.comparingDouble(MotorBranch::device))
                    .orElseThrow();
            double rest = sum - most.amperes();
            RatingTable table = chain.table("breaker");
            RatingLine line = table.upTo(most.device() + rest).orElse(table.least());
            chain.add(ResultDraft.of("feeder-protection", "Feeder breaker at most")
                    .follows(isOfEdited(branches, "current", "protection"))
                    .from("largest branch device", most.device(), "A")
                    .from("the other motors", rest, "A")
                    .is(line.amount(), "A")
                    .by(
                            "the largest branch device and the current of the other motors, to the next size downwards",
                            "NFPA 70, 430.62(A)")
                    .read(table, line));
        }
        double peak = addPeaks(chain, branches, sum);
        addDrop(inputs, chain, wire, new double[] {iec ? needed : sum, peak});
        return wire;
    }

    /** Wire and device together: the device carries the load, and the wire what the device lets through for good. */
    private static RatingLine metric(SizingInputs inputs, Chain chain, double needed) throws SizingException {
        String column = inputs.word(JobQuestion.FEEDER_METHOD);
        RatingTable devices = chain.table("breaker");
        Optional<RatingLine> next = devices.from(needed);
        RatingLine device = next.orElse(devices.most());
        double factor = temperature(inputs, chain, "PVC");
        RatingTable table = chain.table("wire");
        RatingLine wire = table.first(one -> one.amount() >= LEAST_METRIC
                        && factor * one.number(column).orElse(0) >= device.amount())
                .orElse(table.most());
        double carries = factor * wire.number(column).orElseThrow();
        chain.add(ResultDraft.of("feeder-wire", "Wire of the feeder")
                .from("current", needed, "A")
                .from("protection", device.amount(), "A")
                .follows(chain, "feeder-current")
                .is(carries, "A")
                .written(wire.key() + " mm² (" + Figures.written(carries) + " A)")
                .by("it carries what its protection lets through for good", "IEC 60364-4-43, 433.1")
                .read(devices, device)
                .read(chain.table("wire-temperature"), inputs.word(JobQuestion.FEEDER_AMBIENT))
                .read(table, wire.key() + " mm², " + column));
        chain.add(ResultDraft.of("feeder-protection", "Protection of the feeder")
                .follows(chain, "feeder-current", "feeder-wire")
                .from("current", needed, "A")
                .is(device.amount(), "A")
                .by("the next size from the current on, that the wire carries", "IEC 60364-4-43, 433.1")
                .read(devices, device)
                .limit(
                        next.isPresent() && device.amount() <= carries,
                        next.isEmpty()
                                ? "No device of the table carries " + Figures.written(needed) + " A: divide the feeder."
                                : device.amount() <= carries
                                        ? "The wire carries " + Figures.written(carries) + " A."
                                        : "No size of the table carries as much: lay several in parallel."));
        RatingTable protective = chain.table("protective-conductor");
        RatingLine line = protective.line(wire.key()).orElse(protective.most());
        chain.add(ResultDraft.of("feeder-protective-conductor", "Protective conductor of the feeder")
                .follows(chain, "feeder-wire")
                .is(Double.parseDouble(line.word("PE")), "mm²")
                .by("by the line conductor", "")
                .read(protective, line));
        return wire;
    }

    /** The row of a wire that somebody names, empty if nobody does. */
    static Optional<RatingLine> stated(RatingTables tables, Practice practice, Optional<String> size)
            throws SizingException {
        if (size.isEmpty()) {
            return Optional.empty();
        }
        RatingTable table = tables.table("wire");
        Optional<RatingLine> row =
                table.first(line -> ConductorSize.name(practice, line).equals(size.get())
                        || line.key().equals(size.get()));
        if (row.isEmpty()) {
            throw new SizingException(
                    "feeder, feeder-wire",
                    size.get(),
                    "one of "
                            + table.lines().stream()
                                    .map(line -> ConductorSize.name(practice, line))
                                    .collect(Collectors.joining(", ")));
        }
        return row;
    }

    private static double temperature(SizingInputs inputs, Chain chain, String column) throws SizingException {
        RatingTable table = chain.table("wire-temperature");
        return table.from(inputs.number(JobQuestion.FEEDER_AMBIENT))
                .flatMap(line -> line.number(column).isPresent()
                        ? Optional.of(line.number(column).getAsDouble())
                        : Optional.empty())
                .orElseThrow(() -> new SizingException(
                        inputs.place(JobQuestion.FEEDER_AMBIENT),
                        inputs.word(JobQuestion.FEEDER_AMBIENT),
                        "at most " + table.most().key() + " °C, which the table has"));
    }

    private static RatingLine gauge(SizingInputs inputs, Chain chain, double needed) throws SizingException {
        String column = needed > 100 ? "75 °C" : "60 °C";
        double factor = temperature(inputs, chain, column);
        RatingTable table = chain.table("wire");
        RatingLine wire = table.first(one -> !one.key().equals(CONTROL_GAUGE)
                        && factor * one.number(column).orElse(0) >= needed)
                .orElse(table.most());
        double carries = factor * wire.number(column).orElseThrow();
        chain.add(ResultDraft.of("feeder-wire", "Wire of the feeder")
                .from("current", needed, "A")
                .is(carries, "A")
                .written(wire.key() + " (" + Figures.written(carries) + " A)")
                .follows(chain, "feeder-current")
                .by("it carries at least that, at terminals of " + column, "NFPA 70, 110.14(C)")
                .read(chain.table("wire-temperature"), inputs.word(JobQuestion.FEEDER_AMBIENT))
                .read(table, wire.key() + ", " + column)
                .limit(
                        carries >= needed,
                        carries >= needed
                                ? "It carries the " + Figures.written(needed) + " A that are needed."
                                : "No size of the table carries as much: lay several in parallel."));
        return wire;
    }

    private static double addPeaks(Chain chain, List<MotorBranch> branches, double sum) throws SizingException {
        MotorBranch worst = branches.stream()
                .max(Comparator.comparingDouble(branch -> branch.starting() - branch.amperes()))
                .orElseThrow();
        double peak = chain.add(ResultDraft.of("feeder-peak", "Peak when the last one starts")
                .follows(isOfEdited(branches, "current", "start-current-of-the-line"))
                .from("last " + worst.name())
                .from("its start", worst.starting(), "A")
                .is(sum - worst.amperes() + worst.starting(), "A")
                .by(
                        "all others at rated load, and the one that makes it highest starting last",
                        "sum of the amounts, which is never less than that of the vectors"));
        MotorBranch largest = branches.stream()
                .max(Comparator.comparingDouble(MotorBranch::amperes))
                .orElseThrow();
        if (!largest.equals(worst)) {
            chain.add(ResultDraft.of("feeder-peak-largest", "Peak with the largest last")
                    .follows(isOfEdited(branches, "current", "start-current-of-the-line"))
                    .from("last " + largest.name())
                    .from("its start", largest.starting(), "A")
                    .is(sum - largest.amperes() + largest.starting(), "A")
                    .by("all others at rated load, and the largest motor starting last", "as above"));
        }
        return peak;
    }

    /** What is lost along the feeder, while all run and at the peak. */
    private static void addDrop(SizingInputs inputs, Chain chain, RatingLine wire, double[] amperes)
            throws SizingException {
        String[][] cases = {
            {"feeder-drop", "Voltage drop along the feeder"}, {"feeder-peak-drop", "Voltage drop along it at the peak"}
        };
        double[] factors = {RUNNING_FACTOR, STARTING_FACTOR};
        double supply = ProspectiveCurrent.volts(inputs.practice());
        double square = ProspectiveCurrent.squareMillimetres(inputs.practice(), wire);
        for (int i = 0; i < cases.length; i++) {
            ResultDraft draft = ResultDraft.of(cases[i][0], cases[i][1]);
            double lost = chain.add(draft.from("current", amperes[i], "A")
                    .follows(chain, i == 0 ? "feeder-current" : "feeder-peak", "feeder-wire")
                    .from("length " + inputs.word(JobQuestion.FEEDER_LENGTH))
                    .from("power factor", factors[i], "")
                    .is(
                            VoltageDrop.volts(
                                    Math.sqrt(3),
                                    amperes[i],
                                    inputs.number(JobQuestion.FEEDER_LENGTH),
                                    square,
                                    factors[i]),
                            "V")
                    .by("√3 I L (ρ/S cosφ + x sinφ), ρ = 0.0225 Ω mm²/m, x = 0.08 mΩ/m", "warm copper"));
            draft.written(Figures.written(lost) + " V, " + Figures.written(100 * lost / supply) + " %");
            chain.add(draft, chain.override(cases[i][0]).isPresent());
        }
    }
}
