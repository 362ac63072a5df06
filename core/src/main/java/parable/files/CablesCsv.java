package parable.files;

import java.util.List;
import java.util.stream.Stream;
import parable.wiring.Cable;
import parable.wiring.Wire;

/** The cables as a table for a spreadsheet, a core a line, spares too. */
public final class CablesCsv {

    private static final List<String> HEADER =
            List.of("Cable", "From", "To", "Cores", "Size", "Core", "Wire", "At one end", "At the other");

    private CablesCsv() {}

    /** The table. */
    public static String text(List<Cable> cables) {
        return CsvTable.text(table(cables));
    }

    static Table table(List<Cable> cables) {
        return new Table(HEADER, cables.stream().flatMap(CablesCsv::rows).toList());
    }

    private static Stream<List<String>> rows(Cable cable) {
        return Stream.iterate(1, core -> core <= cable.cores(), core -> core + 1)
                .map(core -> core > cable.wires().size()
                        ? row(cable, core, "spare", "", "")
                        : row(cable, core, cable.wires().get(core - 1)));
    }

    private static List<String> row(Cable cable, int core, Wire wire) {
        return row(cable, core, wire.number(), wire.from().toString(), wire.to().toString());
    }

    private static List<String> row(Cable cable, int core, String wire, String one, String other) {
        return List.of(
                cable.name(),
                cable.from(),
                cable.to(),
                Integer.toString(cable.cores()),
                cable.size(),
                Integer.toString(core),
                wire,
                one,
                other);
    }
}
