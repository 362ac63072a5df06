package parable.parts;

import java.util.List;
import java.util.Map;

/** Where the power comes from and where it goes: three-phase supply, three-phase motor. */
final class SupplyAndMotorKinds {

    private static final RatedVoltage LINE_BY_DEFAULT = new RatedVoltage(400, CurrentKind.AC);
    private static final double EFFICIENCY = 0.83;
    private static final double POWER_FACTOR = 0.83;

    private SupplyAndMotorKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "three-phase-supply",
                        Family.SUPPLY,
                        List.of("voltage", "frequency"),
                        SupplyAndMotorKinds::threePhaseSupply),
                new PartKind(
                        "three-phase-motor",
                        Family.MOTOR,
                        List.of("voltage", "power"),
                        SupplyAndMotorKinds::threePhaseMotor));
    }

    /** L1, L2, L3 a third of a turn apart, each at line voltage over root 3 from a neutral that is bonded to earth. */
    private static Part threePhaseSupply(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage phase = phaseOf(settings.voltage("voltage", LINE_BY_DEFAULT));
        settings.quantity("frequency", "Hz", 16, 400, 50);
        return part.sources(List.of(
                        new Source("N", "L1", phase, 0, true),
                        new Source("N", "L2", phase, -120, true),
                        new Source("N", "L3", phase, 120, true)))
                .bareTerminal("PE")
                .movedBy(new Drive.ByHand(Map.of(Verb.LOSE, 0, Verb.RESTORE, 1)), Travel.AT_ONCE)
                .initiallyIn(1)
                .build();
    }

    /**
     * Three leads U1, V1, W1, its windings joined inside. A winding takes its share of P / (eta cosphi) at rated load,
     * efficiency and power factor both 0.83, common for motors of a few kW.
     */
    private static Part threePhaseMotor(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage phase = phaseOf(settings.voltage("voltage", LINE_BY_DEFAULT));
        double watts = 1000 * settings.quantity("power", "kW", 0.01, 5000, 2.2);
        double voltAmperes = watts / (EFFICIENCY * POWER_FACTOR) / 3;
        return part.loads(List.of("U1", "V1", "W1").stream()
                        .map(lead ->
                                Load.ofPower(lead, Part.STAR_POINT, LoadRole.WINDING, phase, voltAmperes, POWER_FACTOR))
                        .toList())
                .bareTerminal("PE")
                .build();
    }

    private static RatedVoltage phaseOf(RatedVoltage line) {
        return new RatedVoltage(line.volts() / Math.sqrt(3), line.kind());
    }
}
