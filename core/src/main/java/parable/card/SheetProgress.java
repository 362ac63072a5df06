package parable.card;

import parable.circuit.Sheet;
import parable.circuit.Tick;

/** How far a sheet is on its way from the first line to the panel, as far as the sheet itself knows. */
public enum SheetProgress {
    EMPTY("empty"),
    DRAWN(""),
    WIRING("wiring"),
    TESTING("testing");

    private final String word;

    SheetProgress(String word) {
        this.word = word;
    }

    /** In a word beside the sheet's name; empty for one that is drawn, as most are. */
    public String word() {
        return word;
    }

    /** That of a sheet: empty, drawn, with wires that are done, or with readings of its test sheet. */
    public static SheetProgress of(Sheet sheet) {
        if (sheet.power().isEmpty() && sheet.control().isEmpty()) {
            return EMPTY;
        }
        if (!sheet.fieldwork().readings().isEmpty()) {
            return TESTING;
        }
        boolean wired =
                sheet.fieldwork().wires().stream().anyMatch(wire -> wire.ticks().contains(Tick.DONE));
        return wired ? WIRING : DRAWN;
    }
}
