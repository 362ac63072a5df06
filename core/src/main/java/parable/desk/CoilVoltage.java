package parable.desk;

import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.Family;

/** The voltage of the coils and lamps that are put on a sheet. */
public final class CoilVoltage {

    private CoilVoltage() {}

    /** That of the sheet's first contactor; without one what is usual, 230 V AC or in North America 120 V AC. */
    public static String of(Assembly assembly, Practice practice) {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR)
                .flatMap(part -> part.device().setting("coil").stream())
                .findFirst()
                .orElse(practice == Practice.IEC ? "230 V AC" : "120 V AC");
    }
}
