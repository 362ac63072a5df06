package parable.sizing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Practice;
import parable.parts.RatedCurrent;
import parable.ratings.RatingTable;

/** The current of the motor at rated load: by the nameplate, else by the table of the practice, else by P / (sqrt3 U eta cosphi). */
final class FullLoadCurrent {

    /** In which line voltages each column of the North American tables is for, in V (NFPA 70, 430.250, note). */
    private static final Map<String, double[]> COLUMNS = Map.of(
            "115 V", new double[] {110, 120, 120},
            "200 V", new double[] {200, 200, 200},
            "208 V", new double[] {208, 208, 208},
            "230 V", new double[] {220, 240, 240},
            "460 V", new double[] {440, 480, 480},
            "575 V", new double[] {550, 600, 600});

    private static final Map<String, double[]> DIRECT = Map.of(
            "90 V", new double[] {90, 90, 90},
            "120 V", new double[] {120, 120, 120},
            "180 V", new double[] {180, 180, 180},
            "240 V", new double[] {240, 240, 240},
            "500 V", new double[] {500, 500, 500});

    private static final double IEC_LEAST_VOLTS = 380;
    private static final double IEC_MOST_VOLTS = 415;

    private FullLoadCurrent() {}

    /** Adds {@code current}, for wires and protection, and {@code motor-current}, that of the motor itself; they differ in North American practice only. */
    static Currents add(SizingInputs inputs, Chain chain) throws SizingException {
        Optional<Double> nameplate = inputs.quantity(MotorQuestion.NAMEPLATE);
        boolean tableFirst = inputs.practice() == Practice.NORTH_AMERICAN;
        ResultDraft draft = ResultDraft.of("current", tableFirst ? "Full-load current by the table" : "Rated current");
        if (nameplate.isPresent() && (!tableFirst || column(inputs).isEmpty())) {
            draft.is(nameplate.get(), "A")
                    .by(
                            tableFirst
                                    ? "as the nameplate says, for the table has no column for this voltage"
                                    : "as the nameplate says",
                            "nameplate");
        } else {
            byTable(inputs, chain, draft);
        }
        double current = chain.add(draft);
        if (!tableFirst) {
            return new Currents(current, current);
        }
        ResultDraft own = ResultDraft.of("motor-current", "Current of the motor itself");
        if (nameplate.isPresent()) {
            own.is(nameplate.get(), "A")
                    .by("as the nameplate says; overload goes by it", "nameplate; NFPA 70, 430.6(A)(2)");
        } else {
            own.is(current, "A")
                    .follows(chain, "current")
                    .by("the table, for want of a nameplate", "NFPA 70, 430.6(A)");
        }
        return new Currents(current, chain.add(own));
    }

    /**
     * Currents at rated load, in A.
     *
     * @param ofTable for wires and protection
     * @param ofMotor for the overload relay
     */
    record Currents(double ofTable, double ofMotor) {}

    private static void byTable(SizingInputs inputs, Chain chain, ResultDraft draft) throws SizingException {
        double kilowatts = inputs.number(MotorQuestion.POWER);
        draft.from("power " + inputs.word(MotorQuestion.POWER)).from("voltage " + inputs.word(MotorQuestion.VOLTAGE));
        if (inputs.practice() == Practice.NORTH_AMERICAN) {
            String feed = inputs.word(MotorQuestion.FEED);
            RatingTable table = chain.table(
                    switch (feed) {
                        case "single-phase" -> "motor-current-single-phase";
                        case "dc" -> "motor-current-dc";
                        default -> "motor-current";
                    });
            read(inputs, draft, table, new Column(kilowatts / RatedCurrent.HORSEPOWER, "hp", neededColumn(inputs)));
        } else if (inputs.is(MotorQuestion.FEED, "three-phase") && isOfIecTable(inputs)) {
            read(inputs, draft, chain.table("motor-current"), new Column(kilowatts, "kW", "400 V"));
        } else {
            byPower(inputs, draft);
        }
    }

    private static boolean isOfIecTable(SizingInputs inputs) throws SizingException {
        double volts = inputs.number(MotorQuestion.VOLTAGE);
        boolean in = volts >= IEC_LEAST_VOLTS && volts <= IEC_MOST_VOLTS;
        if (!in && (inputs.isAssumed(MotorQuestion.EFFICIENCY) || inputs.isAssumed(MotorQuestion.POWER_FACTOR))) {
            throw new SizingException(
                    inputs.place(MotorQuestion.VOLTAGE),
                    inputs.word(MotorQuestion.VOLTAGE),
                    "380 to 415 V, for which the table of currents is; for other voltages state nameplate, or both efficiency and power-factor");
        }
        return in;
    }

    private record Column(double power, String unit, String name) {}

    private static void read(SizingInputs inputs, ResultDraft draft, RatingTable table, Column column)
            throws SizingException {
        var filled = table.lines().stream()
                .filter(line -> line.number(column.name()).isPresent())
                .toList();
        double least = filled.get(0).amount();
        double most = filled.get(filled.size() - 1).amount();
        double rounding = 0.01;
        if (column.power() < least * (1 - rounding) || column.power() > most * (1 + rounding)) {
            throw new SizingException(
                    inputs.place(MotorQuestion.POWER),
                    inputs.word(MotorQuestion.POWER),
                    Figures.written(least) + " to " + Figures.written(most) + " " + column.unit() + " at "
                            + column.name() + ", which the table has; for others state nameplate");
        }
        var row = filled.stream()
                .filter(line -> Math.abs(line.amount() / column.power() - 1) < rounding)
                .findFirst();
        if (row.isPresent()) {
            draft.is(row.get().number(column.name()).orElseThrow(), "A")
                    .by("read from the table", "")
                    .read(table, row.get().key() + " " + column.unit() + ", " + column.name());
        } else {
            draft.is(table.between(column.power(), column.name()).orElseThrow(), "A")
                    .by("between two rows of the table, so that equal ratios stay equal", "")
                    .read(
                            table,
                            "beside " + table.upTo(column.power()).orElseThrow().key() + " " + column.unit() + ", "
                                    + column.name());
        }
    }

    private static void byPower(SizingInputs inputs, ResultDraft draft) {
        double watts = 1000 * inputs.number(MotorQuestion.POWER);
        double volts = inputs.number(MotorQuestion.VOLTAGE);
        double efficiency = inputs.number(MotorQuestion.EFFICIENCY) / 100;
        boolean direct = inputs.is(MotorQuestion.FEED, "dc");
        double factor = direct ? 1 : inputs.number(MotorQuestion.POWER_FACTOR);
        double phases = inputs.is(MotorQuestion.FEED, "three-phase") ? Math.sqrt(3) : 1;
        draft.from("efficiency " + inputs.word(MotorQuestion.EFFICIENCY));
        if (!direct) {
            draft.from("power factor " + inputs.word(MotorQuestion.POWER_FACTOR));
        }
        draft.is(watts / (phases * volts * efficiency * factor), "A")
                .by(
                        phases > 1 ? "P / (√3 U η cosφ)" : direct ? "P / (U η)" : "P / (U η cosφ)",
                        "from power and efficiency, where the practice has no table");
    }

    /** The column of the North American tables, empty for a voltage that they do not have. */
    static Optional<String> column(SizingInputs inputs) {
        double volts = inputs.number(MotorQuestion.VOLTAGE);
        Map<String, double[]> columns = inputs.is(MotorQuestion.FEED, "dc") ? DIRECT : COLUMNS;
        return columns.entrySet().stream()
                .filter(one -> volts >= one.getValue()[0] && volts <= one.getValue()[1])
                .map(Map.Entry::getKey)
                .findFirst();
    }

    private static String neededColumn(SizingInputs inputs) throws SizingException {
        Map<String, double[]> columns = inputs.is(MotorQuestion.FEED, "dc") ? DIRECT : COLUMNS;
        return column(inputs)
                .orElseThrow(() -> new SizingException(
                        inputs.place(MotorQuestion.VOLTAGE),
                        inputs.word(MotorQuestion.VOLTAGE),
                        "one of " + ranges(columns) + ", which the table has; for others state nameplate"));
    }

    private static String ranges(Map<String, double[]> columns) {
        List<double[]> sorted = columns.values().stream()
                .sorted((one, other) -> Double.compare(one[0], other[0]))
                .toList();
        return sorted.stream()
                        .map(range -> range[0] == range[1]
                                ? Figures.written(range[0])
                                : Figures.written(range[0]) + " to " + Figures.written(range[1]))
                        .reduce((one, other) -> one + ", " + other)
                        .orElseThrow()
                + " V";
    }

    /** The voltage of the supply that a motor is made for, in V: a motor of 460 V is for one of 480 V. */
    static double supplyVolts(SizingInputs inputs) {
        double volts = inputs.number(MotorQuestion.VOLTAGE);
        if (inputs.practice() == Practice.IEC || inputs.is(MotorQuestion.FEED, "dc")) {
            return volts;
        }
        return column(inputs)
                .filter(column -> column.equals(Figures.written(volts) + " V"))
                .map(column -> COLUMNS.get(column)[2])
                .orElse(volts);
    }
}
