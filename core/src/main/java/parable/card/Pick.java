package parable.card;

import parable.circuit.Circuit;
import parable.circuit.Nodes;
import parable.circuit.Sheet;

/** What is pointed at on a sheet. */
public sealed interface Pick {

    /** Whether a sheet has it. */
    boolean isOn(Sheet sheet);

    /** A device, by its tag. */
    record OfDevice(String tag) implements Pick {
        @Override
        public boolean isOn(Sheet sheet) {
            return sheet.device(tag).isPresent();
        }
    }

    /** A wire, by its number. */
    record OfWire(String number) implements Pick {
        @Override
        public boolean isOn(Sheet sheet) {
            return Nodes.of(sheet).indexOf(number).isPresent();
        }
    }

    /**
     * A rung.
     *
     * @param rung its position in its circuit, from 0
     */
    record OfRung(Circuit circuit, int rung) implements Pick {
        @Override
        public boolean isOn(Sheet sheet) {
            return rung >= 0 && rung < sheet.rungs(circuit).size();
        }
    }
}
