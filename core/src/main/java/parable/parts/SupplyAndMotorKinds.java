package parable.parts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Where the power comes from, what converts it, and where it goes. Terminals by IEC 60445 and IEC 60034-8. */
final class SupplyAndMotorKinds {

    private static final RatedVoltage LINE_BY_DEFAULT = new RatedVoltage(400, CurrentKind.AC);
    private static final RatedVoltage PHASE_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final Drive PRESENT_OR_LOST = new Drive.ByHand(Map.of(Verb.LOSE, 0, Verb.RESTORE, 1));
    private static final double EFFICIENCY = 0.83;
    private static final double POWER_FACTOR = 0.83;

    /** The copper of a winding against DC, as a share of its impedance at rated load. */
    private static final double COPPER = 0.04;

    /** The mean of a rectified sine wave over its r.m.s. value, bridge on one phase. */
    private static final double RECTIFIED = 0.9;

    private SupplyAndMotorKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "three-phase-supply",
                        Family.SUPPLY,
                        List.of("voltage", "frequency"),
                        SupplyAndMotorKinds::threePhaseSupply),
                new PartKind(
                        "single-phase-supply",
                        Family.SUPPLY,
                        List.of("voltage", "frequency"),
                        SupplyAndMotorKinds::singlePhaseSupply),
                new PartKind(
                        "control-transformer",
                        Family.CONVERTER,
                        List.of("primary", "secondary", "rated", "secondary-side"),
                        SupplyAndMotorKinds::controlTransformer),
                new PartKind("dc-supply", Family.CONVERTER, List.of("input", "output"), SupplyAndMotorKinds::dcSupply),
                new PartKind("rectifier", Family.CONVERTER, List.of("input"), SupplyAndMotorKinds::rectifier),
                new PartKind("resistor", Family.RESISTOR, List.of("resistance"), SupplyAndMotorKinds::resistor),
                new PartKind(
                        "three-phase-motor",
                        Family.MOTOR,
                        List.of("voltage", "power", "leads", "load", "run-up", "rotor"),
                        SupplyAndMotorKinds::threePhaseMotor));
    }

    /** L1, L2, L3 a third of a turn apart, each at line voltage over root 3 from a neutral that is bonded to earth. */
    private static Part threePhaseSupply(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage phase = overRootThree(settings.voltage("voltage", LINE_BY_DEFAULT));
        settings.quantity("frequency", "Hz", 16, 400, 50);
        return part.sources(List.of(
                        new Source("N", "L1", phase, 0, true),
                        new Source("N", "L2", phase, -120, true),
                        new Source("N", "L3", phase, 120, true)))
                .bareTerminals("PE")
                .movedBy(PRESENT_OR_LOST, Travel.AT_ONCE)
                .initiallyIn(1)
                .build();
    }

    /** L against a neutral that is bonded to earth. */
    private static Part singlePhaseSupply(PartBuilder part, Settings settings) throws SettingException {
        settings.quantity("frequency", "Hz", 16, 400, 50);
        return part.sources(List.of(new Source("N", "L", settings.voltage("voltage", PHASE_BY_DEFAULT), 0, true)))
                .bareTerminals("PE")
                .movedBy(PRESENT_OR_LOST, Travel.AT_ONCE)
                .initiallyIn(1)
                .build();
    }

    /** H1-H4 in, X1-X2 out; X2 grounded unless the secondary side floats. */
    private static Part controlTransformer(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage primary = settings.voltage("primary", LINE_BY_DEFAULT);
        RatedVoltage secondary = settings.voltage("secondary", new RatedVoltage(120, CurrentKind.AC));
        double rated = settings.quantity("rated", "VA", 10, 10_000, 100);
        boolean grounded = settings.oneOf("secondary-side", List.of("grounded", "floating"), "grounded")
                .equals("grounded");
        return part.loads(List.of(Load.ofPower("H1", "H4", LoadRole.INPUT, primary, rated, 0.9)))
                .sources(List.of(follower("X2", "X1", secondary, Source.Law.IN_PROPORTION, grounded)))
                .build();
    }

    /** L-N in, plus and minus out, floating. */
    private static Part dcSupply(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage input = settings.voltage("input", PHASE_BY_DEFAULT);
        RatedVoltage output = settings.voltage("output", new RatedVoltage(24, CurrentKind.DC));
        return part.loads(List.of(Load.ofPower("L", "N", LoadRole.INPUT, input, 60, 0.9)))
                .sources(List.of(follower("-", "+", output, Source.Law.REGULATED, false)))
                .build();
    }

    /** A bridge on one phase: ~1-~2 in, plus and minus out. */
    private static Part rectifier(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage input = settings.voltage("input", LINE_BY_DEFAULT);
        RatedVoltage output = new RatedVoltage(RECTIFIED * input.volts(), CurrentKind.DC);
        return part.loads(List.of(Load.ofPower("~1", "~2", LoadRole.INPUT, input, 500, 0.9)))
                .sources(List.of(follower("-", "+", output, Source.Law.RECTIFIED, false)))
                .build();
    }

    private static Source follower(
            String reference, String live, RatedVoltage rated, Source.Law law, boolean grounded) {
        return new Source(reference, live, rated, 0, Optional.of(new Source.Following(0, law)), grounded);
    }

    /** A resistor 1-2. */
    private static Part resistor(PartBuilder part, Settings settings) throws SettingException {
        double ohms = settings.quantity("resistance", "ohm", 0.1, 1_000_000, 10);
        return part.loads(List.of(new Load("1", "2", LoadRole.RESISTOR, LINE_BY_DEFAULT, ohms, 0, ohms)))
                .build();
    }

    /**
     * Three leads U1, V1, W1 with the windings joined inside in star, or six leads with each winding made for the line
     * voltage. The current follows from P = sqrt3 U I eta cosphi with efficiency and power factor both 0.83, common for
     * motors of a few kW.
     */
    private static Part threePhaseMotor(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage line = settings.voltage("voltage", LINE_BY_DEFAULT);
        boolean six = settings.oneOf("leads", List.of("3", "6"), "3").equals("6");
        RatedVoltage winding = six ? line : overRootThree(line);
        double watts = 1000 * settings.quantity("power", "kW", 0.01, 5000, 2.2);
        double voltAmperes = watts / (EFFICIENCY * POWER_FACTOR) / 3;
        Machine machine = new Machine(
                voltAmperes / winding.volts(),
                settings.quantity("run-up", "s", 0.02, 60, 0.1),
                settings.quantity("load", "%", 0, 300, 80) / 100,
                settings.oneOf("rotor", List.of("free", "locked"), "free").equals("locked"));
        return part.loads(Stream.of("U", "V", "W")
                        .map(phase -> Load.ofPower(
                                phase + "1",
                                six ? phase + "2" : Part.STAR_POINT,
                                LoadRole.WINDING,
                                winding,
                                voltAmperes,
                                POWER_FACTOR))
                        .map(load -> load.withDirectOhms(COPPER * Math.hypot(load.ohms(), load.reactance())))
                        .toList())
                .bareTerminals("PE")
                .turning(machine)
                .build();
    }

    private static RatedVoltage overRootThree(RatedVoltage line) {
        return new RatedVoltage(line.volts() / Math.sqrt(3), line.kind());
    }
}
