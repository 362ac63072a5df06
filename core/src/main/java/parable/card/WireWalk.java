package parable.card;

import java.util.List;
import java.util.Optional;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;

/** The wires along a rung, as a probe goes from one to the next. */
public final class WireWalk {

    private final Sheet sheet;

    /** Along the ladder of a sheet. */
    public WireWalk(Sheet sheet) {
        this.sheet = sheet;
    }

    /** Where one begins: the number of the first rail; empty on a sheet without rails. */
    public Optional<String> begin() {
        return sheet.rails().stream().findFirst().map(Rail::number);
    }

    /** Where the other probe stays: the number of the rail that the first rung goes back to; empty on a sheet without a ladder. */
    public Optional<String> back() {
        return sheet.control().stream()
                .findFirst()
                .map(rung -> numbers(rung))
                .filter(numbers -> !numbers.isEmpty())
                .map(numbers -> numbers.get(numbers.size() - 1));
    }

    /**
     * The wire that comes after another on the first rung that has it; the wire itself at the rung's end, and where no rung has it.
     *
     * @param wire a wire number
     * @param steps how many further towards the return; negative towards the line
     */
    public String from(String wire, int steps) {
        return sheet.control().stream()
                .map(this::numbers)
                .filter(numbers -> numbers.contains(wire))
                .findFirst()
                .map(numbers -> numbers.get(Math.max(0, Math.min(numbers.size() - 1, numbers.indexOf(wire) + steps))))
                .orElse(wire);
    }

    private List<String> numbers(Rung rung) {
        return rung.points().map(this::number).toList();
    }

    private String number(RungItem.NamedPoint point) {
        return sheet.rails().stream()
                .filter(rail -> point.rail() && rail.name().equals(point.name()))
                .findFirst()
                .map(Rail::number)
                .orElse(point.name());
    }
}
