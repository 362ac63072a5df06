package parable.desk;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.circuit.WireNumbers;

/**
 * What the line understands besides rungs and devices: {@code rename K1 K5}, {@code wire 6 12}, {@code renumber}, {@code renumber by rung} and
 * {@code find K1}.
 *
 * @param sheet the sheet as it will be; the same if the command only looks for something
 * @param words what the command does
 * @param goTo where the selection goes, empty if it stays
 */
record DeskCommand(Sheet sheet, String words, Optional<Place> goTo) {

    /**
     * Reads a line.
     *
     * @param from where a search begins: behind this place
     * @return empty if the line is no command
     * @throws EditException if it is one that cannot be carried out
     */
    static Optional<DeskCommand> read(String line, Sheet sheet, Optional<Place> from) throws EditException {
        String[] words = line.strip().split("\\s+");
        return switch (words[0] + " " + (words.length - 1)) {
            case "rename 2" -> Optional.of(new DeskCommand(
                    Structure.renamed(sheet, words[1], words[2]),
                    words[1] + " becomes " + words[2] + ", on the sheet and in every rung.",
                    Optional.empty()));
            case "wire 2" -> Optional.of(new DeskCommand(
                    WireNumbers.changed(sheet, Map.of(words[1], words[2])),
                    "Wire " + words[1] + " becomes wire " + words[2] + ".",
                    Optional.empty()));
            case "renumber 0" -> Optional.of(renumber(sheet, WireNumbers.inOrder(sheet)));
            case "renumber 2" -> words[1].equals("by") && words[2].equals("rung")
                    ? Optional.of(renumber(sheet, WireNumbers.byRung(sheet)))
                    : Optional.empty();
            case "find 1" -> Optional.of(find(sheet, words[1], from));
            default -> Optional.empty();
        };
    }

    private static DeskCommand renumber(Sheet sheet, Map<String, String> numbers) throws EditException {
        String told = numbers.entrySet().stream()
                .filter(entry -> !entry.getKey().equals(entry.getValue()))
                .map(entry -> entry.getKey() + " \u2192 " + entry.getValue())
                .collect(Collectors.joining(", "));
        return new DeskCommand(
                WireNumbers.changed(sheet, numbers),
                told.isEmpty() ? "All wires are numbered in order already." : "Wires: " + told,
                Optional.empty());
    }

    private static DeskCommand find(Sheet sheet, String wanted, Optional<Place> from) throws EditException {
        Optional<Place> first = Optional.empty();
        boolean behind = from.isEmpty();
        for (Circuit circuit : new Circuit[] {Circuit.CONTROL, Circuit.POWER}) {
            for (int rung = 0; rung < sheet.rungs(circuit).size(); rung++) {
                Rung of = sheet.rungs(circuit).get(rung);
                for (int item = 0; item < of.items().size(); item++) {
                    Place place = new Place(circuit, rung, item);
                    if (isMeant(of, item, wanted)) {
                        if (behind) {
                            return new DeskCommand(sheet, "Enter goes to " + of.text(), Optional.of(place));
                        }
                        first = first.or(() -> Optional.of(place));
                    }
                    behind |= from.filter(place::equals).isPresent();
                }
            }
        }
        Place found = first.orElseThrow(() -> new EditException(
                sheet.name(), "nothing called " + wanted, "a tag, a wire number or a word of a remark"));
        return new DeskCommand(
                sheet,
                "Enter goes to "
                        + sheet.rungs(found.circuit()).get(found.rung()).text(),
                Optional.of(found));
    }

    private static boolean isMeant(Rung rung, int item, String wanted) {
        if (rung.items().get(item) instanceof RungItem.Passage passage) {
            boolean firstOfRung = rung.items().stream()
                            .filter(RungItem.Passage.class::isInstance)
                            .findFirst()
                            .orElseThrow()
                    == passage;
            boolean beside = item > 0
                    && rung.items().get(item - 1) instanceof RungItem.NamedPoint point
                    && point.name().equals(wanted);
            return passage.tag().equalsIgnoreCase(wanted)
                    || beside
                    || firstOfRung && rung.remark().toLowerCase(Locale.ROOT).contains(wanted.toLowerCase(Locale.ROOT));
        }
        return false;
    }
}
