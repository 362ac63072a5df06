package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Motors. Terminals by IEC 60034-8, those of DC motors by common practice. */
final class MotorKinds {

    private static final RatedVoltage LINE_BY_DEFAULT = new RatedVoltage(400, CurrentKind.AC);
    private static final RatedVoltage PHASE_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final RatedVoltage DIRECT_BY_DEFAULT = new RatedVoltage(180, CurrentKind.DC);
    private static final double EFFICIENCY = 0.83;
    private static final double POWER_FACTOR = 0.83;
    private static final double LEAST_POWER_FACTOR = 0.3;
    private static final double MOST_POWER_FACTOR = 0.95;

    /** The copper of a winding against DC, as a share of its impedance at rated load. */
    private static final double COPPER = 0.04;

    /** The share of a DC motor's voltage that its series winding takes. */
    private static final double SERIES_SHARE = 0.05;

    /** The current of a shunt winding as a share of the armature's. */
    private static final double SHUNT_SHARE = 0.05;

    /** The field of a motor of 1 kW dies away in 0.15 s, that of 20 kW in 0.4 s, that of 75 kW in 0.7 s (data sheets: open-circuit time constant). */
    private static final double FIELD_OF_A_KILOWATT = 0.15;

    private static final double FIELD_BY_POWER = 0.35;

    private static final int PHASES = 3;

    private MotorKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "three-phase-motor",
                        Family.MOTOR,
                        List.of(
                                "voltage",
                                "power",
                                "current",
                                "leads",
                                LeadMarking.SETTING,
                                "drives",
                                "load",
                                "run-up",
                                "rotor"),
                        MotorKinds::threePhaseMotor),
                new PartKind(
                        "single-phase-motor",
                        Family.MOTOR,
                        List.of("voltage", "power", "current", "drives", "load", "run-up", "rotor"),
                        MotorKinds::singlePhaseMotor),
                new PartKind(
                        "dc-motor",
                        Family.MOTOR,
                        List.of("field", "voltage", "power", "current", "drives", "load", "run-up", "rotor"),
                        MotorKinds::directCurrentMotor));
    }

    /**
     * Three leads U1, V1, W1 with the windings joined inside in star, or six leads with each winding made for the line
     * voltage. By North American practice they are marked T1 to T6, T1-T4 being the first winding (NEMA MG 1). The current is that of the nameplate, or else as {@link RatedCurrent} has it; efficiency and power factor, taken as equal, follow from it by
     * P = sqrt3 U I eta cosphi.
     */
    private static Part threePhaseMotor(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage line = settings.voltage("voltage", LINE_BY_DEFAULT);
        boolean six = settings.oneOf("leads", List.of("3", "6"), "3").equals("6");
        RatedVoltage winding = six ? line : line.times(1 / Math.sqrt(3));
        double watts = watts(settings);
        double inLine = settings.quantity(
                "current", "A", 0.1, 1000, RatedCurrent.of(settings.tables(), watts / 1000, line.volts()));
        double voltAmperes = line.volts() * inLine / Math.sqrt(3);
        double powerFactor =
                Math.max(LEAST_POWER_FACTOR, Math.min(MOST_POWER_FACTOR, Math.sqrt(watts / 3 / voltAmperes)));
        List<String> written = LeadMarking.allWritten();
        List<String> leads = LeadMarking.ofWritten(settings.oneOf(LeadMarking.SETTING, written, written.get(0)))
                .leads();
        List<Load> windings = IntStream.range(0, PHASES)
                .mapToObj(phase -> winding(
                        leads.get(phase),
                        six ? leads.get(PHASES + phase) : Part.STAR_POINT,
                        winding,
                        voltAmperes,
                        powerFactor))
                .toList();
        double amperes = voltAmperes / winding.volts();
        return part.loads(windings)
                .bareTerminals("PE")
                .turning(machine(
                        settings,
                        FIELD_OF_A_KILOWATT * Math.pow(watts / 1000, FIELD_BY_POWER),
                        new ThreePhaseMotor(
                                amperes, winding.volts(), windings.get(0).directOhms())))
                .build();
    }

    /**
     * Run winding U1-U2 and start winding Z1-Z2, both for the line voltage, the start winding with capacitor and centrifugal
     * switch inside. The current is that of the nameplate, or else follows from P = U I eta cosphi.
     */
    private static Part singlePhaseMotor(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage line = settings.voltage("voltage", PHASE_BY_DEFAULT);
        double usual = watts(settings) / (EFFICIENCY * POWER_FACTOR * line.volts());
        double voltAmperes = line.volts() * settings.quantity("current", "A", 0.1, 1000, usual);
        return part.loads(List.of(
                        winding("U1", "U2", line, voltAmperes, POWER_FACTOR),
                        winding("Z1", "Z2", line, voltAmperes / 2, POWER_FACTOR)))
                .bareTerminals("PE")
                .turning(machine(settings, 0, new SinglePhaseMotor(voltAmperes / line.volts(), line.volts())))
                .build();
    }

    /** Armature A1-A2, series winding S1-S2, shunt winding F1-F2. The current is that of the nameplate, or else follows from P = U I eta. */
    private static Part directCurrentMotor(PartBuilder part, Settings settings) throws SettingException {
        DirectCurrentMotor.Field field =
                switch (settings.oneOf(
                        "field", List.of("permanent-magnet", "series", "shunt", "compound"), "permanent-magnet")) {
                    case "series" -> DirectCurrentMotor.Field.SERIES;
                    case "shunt" -> DirectCurrentMotor.Field.SHUNT;
                    case "compound" -> DirectCurrentMotor.Field.COMPOUND;
                    default -> DirectCurrentMotor.Field.PERMANENT_MAGNET;
                };
        RatedVoltage line = settings.voltage("voltage", DIRECT_BY_DEFAULT);
        double amperes = settings.quantity("current", "A", 0.1, 1000, watts(settings) / EFFICIENCY / line.volts());
        RatedVoltage series = line.times(SERIES_SHARE);
        RatedVoltage armature = field.hasSeries() ? line.times(1 - SERIES_SHARE) : line;
        List<Load> windings = new ArrayList<>();
        windings.add(Load.ofPower("A1", "A2", LoadRole.WINDING, armature, armature.volts() * amperes, 1));
        if (field.hasShunt()) {
            windings.add(Load.ofPower("F1", "F2", LoadRole.WINDING, line, line.volts() * amperes * SHUNT_SHARE, 1));
        }
        if (field.hasSeries()) {
            windings.add(Load.ofPower("S1", "S2", LoadRole.WINDING, series, series.volts() * amperes, 1));
        }
        return part.loads(windings)
                .bareTerminals("PE")
                .turning(machine(settings, 0, new DirectCurrentMotor(amperes, armature.volts(), field, series.volts())))
                .build();
    }

    private static Load winding(String from, String to, RatedVoltage rated, double voltAmperes, double powerFactor) {
        Load load = Load.ofPower(from, to, LoadRole.WINDING, rated, voltAmperes, powerFactor);
        return load.withDirectOhms(COPPER * Math.hypot(load.ohms(), load.reactance()));
    }

    private static double watts(Settings settings) throws SettingException {
        return 1000 * settings.kilowatts("power", 2.2);
    }

    private static Machine machine(Settings settings, double fieldTime, MotorModel model) throws SettingException {
        Driven driven = Driven.ofWord(settings.oneOf("drives", Driven.words(), Driven.PUMP.word()));
        return new Machine(
                settings.quantity("run-up", "s", 0.02, 60, driven.runUp()),
                settings.quantity("load", "%", 0, 300, 80) / 100,
                driven,
                settings.oneOf("rotor", List.of("free", "locked"), "free").equals("locked"),
                fieldTime,
                model);
    }
}
