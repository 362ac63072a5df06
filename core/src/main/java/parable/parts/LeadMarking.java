package parable.parts;

import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Practice;

/** How the leads of a three-phase motor are marked: the beginnings of its windings, then their ends. */
public enum LeadMarking {
    /** By IEC 60034-8. */
    IEC("U1 V1 W1 U2 V2 W2"),
    /** By NEMA MG 1: T1-T4, T2-T5 and T3-T6 are the windings. */
    NEMA("T1 T2 T3 T4 T5 T6");

    /** What a motor is told by its setting. */
    public static final String SETTING = "lead-marking";

    private final String written;

    LeadMarking(String written) {
        this.written = written;
    }

    /** The one that a practice has. */
    public static LeadMarking of(Practice practice) {
        return switch (practice) {
            case IEC -> IEC;
            case NORTH_AMERICAN -> NEMA;
        };
    }

    /** The one that is written so; that of IEC for what is written otherwise. */
    public static LeadMarking ofWritten(String written) {
        return NEMA.written.equals(written) ? NEMA : IEC;
    }

    static List<String> allWritten() {
        return Stream.of(values()).map(marking -> marking.written).toList();
    }

    /** As the setting has it; empty for that of IEC, which need not be said. */
    public String setting() {
        return this == IEC ? "" : written;
    }

    /** The six leads. */
    public List<String> leads() {
        return List.of(written.split(" "));
    }
}
