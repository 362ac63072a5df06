package parable.circuit;

import java.util.List;
import java.util.stream.Stream;
import parable.program.StructuredText;

/** Which circuit an entry was made on: a hash of all that decides what the circuit does, and of nothing else. */
public final class Revision {

    static final int LETTERS = 12;

    private Revision() {}

    /**
     * The revision of a sheet, twelve hexadecimal digits: of its rails, devices with their settings, rungs and program. Its name, labels, places,
     * remarks, acceptances and readings may change without it.
     */
    public static String of(Sheet sheet) {
        StringBuilder all = new StringBuilder();
        Stream.of(
                        Stream.of(sheet.duty().words()),
                        sheet.rails().stream().map(rail -> rail.name() + " " + rail.number()),
                        sheet.devices().stream().map(Revision::words),
                        Stream.of("power"),
                        words(sheet.power()),
                        Stream.of("control"),
                        words(sheet.control()),
                        sheet.program().map(StructuredText::write).stream())
                .flatMap(part -> part)
                .forEach(part -> Fingerprint.append(all, part));
        return Fingerprint.of(all.toString()).substring(0, LETTERS);
    }

    static String words(Device device) {
        return device.tag() + " " + device.kind() + " " + device.settings();
    }

    private static Stream<String> words(List<Rung> rungs) {
        return rungs.stream().map(rung -> new Rung(rung.items(), "").text());
    }
}
