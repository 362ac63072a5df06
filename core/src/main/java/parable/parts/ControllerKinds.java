package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Controllers with a program. Inputs by IEC 61131-2, type 1. */
final class ControllerKinds {

    private static final RatedVoltage DC_24 = new RatedVoltage(24, CurrentKind.DC);
    private static final double WORKS = 0.8;

    /** 15 V of 24. */
    private static final double READS = 0.625;

    /** 5 V of 24. */
    private static final double UNREADS = 0.21;

    private ControllerKinds() {}

    static List<PartKind> all() {
        return List.of(new PartKind(
                "controller",
                Family.CONTROLLER,
                List.of("inputs", "outputs", "group", "output", "supply", "reading", "scan", "filter"),
                ControllerKinds::controller));
    }

    /**
     * Supply + and - (AC: L and N), inputs I0 and on with their common IC, outputs Q0 and on, so many to a common: QC0 for the first
     * group, QC1 for the next.
     */
    private static Part controller(PartBuilder part, Settings settings) throws SettingException {
        int inputs = settings.count("inputs", 1, 24, 8);
        int outputs = settings.count("outputs", 1, 16, 8);
        int group = settings.count("group", 1, 16, 4);
        boolean relays = settings.oneOf("output", List.of("relay", "transistor"), "relay")
                .equals("relay");
        RatedVoltage supply = settings.voltage("supply", DC_24);
        RatedVoltage reading = settings.voltage("reading", DC_24);
        long scan = Math.round(settings.quantity("scan", "ms", 1, 500, 10) * 1000);
        long filter = Math.round(settings.quantity("filter", "ms", 0, 100, 3) * 1000);
        boolean direct = supply.kind() == CurrentKind.DC;
        List<Load> loads = new ArrayList<>();
        loads.add(Load.ofPower(direct ? "+" : "L", direct ? "-" : "N", LoadRole.INPUT, supply, 10, 0.9)
                .electronic());
        for (int i = 0; i < inputs; i++) {
            loads.add(Load.ofPower("I" + i, "IC", LoadRole.READING, reading, 0.17, 1));
        }
        return part.contacts(IntStream.range(0, outputs)
                        .mapToObj(output -> Contact.output("QC" + output / group, "Q" + output, output))
                        .toList())
                .loads(loads)
                .movedBy(
                        new Drive.ByProgram(
                                0,
                                WORKS,
                                IntStream.rangeClosed(1, inputs).boxed().toList(),
                                READS,
                                UNREADS,
                                new TimeRange(filter, filter, filter),
                                scan),
                        relays ? Travel.OUTPUT_RELAY : Travel.OUTPUT_TRANSISTOR)
                .initiallyIn(1)
                .build();
    }
}
