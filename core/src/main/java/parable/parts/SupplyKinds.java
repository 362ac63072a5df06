package parable.parts;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where the power comes from and what converts it. Terminals by IEC 60445. */
final class SupplyKinds {

    /** Where a regulated supply begins to give less voltage instead of more current; practice, 1.1 to 1.5. */
    private static final double ABOVE_RATING = 1.2;

    private static final RatedVoltage LINE_BY_DEFAULT = new RatedVoltage(400, CurrentKind.AC);
    private static final RatedVoltage PHASE_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final Drive PRESENT_OR_LOST = new Drive.ByHand(Map.of(Verb.LOSE, 0, Verb.RESTORE, 1));

    /** The mean of a rectified sine wave over its r.m.s. value, bridge on one phase. */
    private static final double RECTIFIED = 0.9;

    /** What the copper of a small transformer's primary takes of its rated voltage at its rated current; practice, 3 to 8 %. */
    private static final double PRIMARY_COPPER = 0.05;

    private SupplyKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "three-phase-supply",
                        Family.SUPPLY,
                        List.of("voltage", "frequency"),
                        SupplyKinds::threePhaseSupply),
                new PartKind(
                        "single-phase-supply",
                        Family.SUPPLY,
                        List.of("voltage", "frequency"),
                        SupplyKinds::singlePhaseSupply),
                new PartKind(
                        "control-transformer",
                        Family.CONVERTER,
                        List.of("primary", "secondary", "rated", "secondary-side"),
                        SupplyKinds::controlTransformer),
                new PartKind(
                        "dc-supply",
                        Family.CONVERTER,
                        List.of("input", "output", "rated", "minus"),
                        SupplyKinds::dcSupply),
                new PartKind("rectifier", Family.CONVERTER, List.of("input"), SupplyKinds::rectifier),
                new PartKind("resistor", Family.RESISTOR, List.of("resistance", "power"), SupplyKinds::resistor),
                new PartKind("metal-part", Family.METALWORK, List.of(), SupplyKinds::metalPart));
    }

    /** L1, L2, L3 a third of a turn apart, each at line voltage over root 3 from a neutral that is bonded to earth. */
    private static Part threePhaseSupply(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage phase = settings.voltage("voltage", LINE_BY_DEFAULT).times(1 / Math.sqrt(3));
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

    /** H1-H4 in, X1-X2 out; X2 is linked to PE unless the secondary side floats. */
    private static Part controlTransformer(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage primary = settings.voltage("primary", LINE_BY_DEFAULT);
        RatedVoltage secondary = settings.voltage("secondary", new RatedVoltage(120, CurrentKind.AC));
        double rated = settings.quantity("rated", "VA", 10, 10_000, 100);
        boolean grounded = settings.oneOf("secondary-side", List.of("grounded", "floating"), "grounded")
                .equals("grounded");
        Load input = Load.ofPower("H1", "H4", LoadRole.INPUT, primary, rated, 0.9);
        return part.loads(List.of(input.withDirectOhms(PRIMARY_COPPER * primary.volts() * primary.volts() / rated)))
                .sources(List.of(new Source(
                        "X2",
                        "X1",
                        secondary,
                        0,
                        Optional.of(new Source.Following(
                                0,
                                Source.Law.IN_PROPORTION,
                                Regulation.ofControlTransformer(settings.tables(), rated),
                                Double.POSITIVE_INFINITY)),
                        grounded)))
                .bareTerminals("PE")
                .build();
    }

    /** L-N in, plus and minus out; minus floats unless it is grounded. It gives a fifth more than it is rated for, and without a rating whatever is asked. */
    private static Part dcSupply(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage input = settings.voltage("input", PHASE_BY_DEFAULT);
        RatedVoltage output = settings.voltage("output", new RatedVoltage(24, CurrentKind.DC));
        double rated = settings.quantity("rated", "A", 0.1, 1000, Double.POSITIVE_INFINITY);
        boolean grounded = settings.oneOf("minus", List.of("floating", "grounded"), "floating")
                .equals("grounded");
        return part.loads(List.of(
                        Load.ofPower("L", "N", LoadRole.INPUT, input, 60, 0.9).electronic()))
                .sources(List.of(new Source(
                        "-",
                        "+",
                        output,
                        0,
                        Optional.of(new Source.Following(
                                0, Source.Law.REGULATED, Regulation.STIFF, ABOVE_RATING * output.volts() * rated)),
                        grounded)))
                .bareTerminals("PE")
                .build();
    }

    /** A bridge on one phase: ~1-~2 in, plus and minus out. */
    private static Part rectifier(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage input = settings.voltage("input", LINE_BY_DEFAULT);
        RatedVoltage output = new RatedVoltage(RECTIFIED * input.volts(), CurrentKind.DC);
        return part.loads(List.of(Load.ofPower("~1", "~2", LoadRole.INPUT, input, 500, 0.9)
                        .electronic()))
                .sources(List.of(new Source(
                        "-", "+", output, 0, Optional.of(new Source.Following(0, Source.Law.RECTIFIED)), false)))
                .build();
    }

    /** Metal that can be touched and is no device: a mounting plate, a door, the case of a station. It has a terminal for its protective conductor. */
    private static Part metalPart(PartBuilder part, Settings settings) {
        return part.bareTerminals("PE").build();
    }

    /** A resistor 1-2. */
    private static Part resistor(PartBuilder part, Settings settings) throws SettingException {
        double ohms = settings.quantity("resistance", "ohm", 0.1, 1_000_000, 10);
        settings.quantity("power", "W", 1, 100_000, 1);
        return part.loads(List.of(Load.ofOhms("1", "2", LoadRole.RESISTOR, LINE_BY_DEFAULT, ohms)))
                .build();
    }
}
