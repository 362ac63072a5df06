package parable.plc;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.program.Logic;

/** The wiring between the field and the controller: supply, inputs, output groups, interposing relays, the circuits of the coils. */
final class FieldWiring {

    private static final int LEAST_INPUTS = 8;

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final InputWiring inputs;
    private final OutputWiring outputs;
    private final SignalWiring signals;
    private final GuardWiring guard;
    private final Hardwired hardwired;

    /**
     * The wiring of a controller.
     *
     * @param supply its 24 V DC
     * @param hardwired what stays in copper
     * @param guard what of it is in front of all coils
     */
    FieldWiring(FieldDraft field, ControllerSupply supply, Hardwired hardwired, Guard guard) {
        this.field = field;
        this.supply = supply;
        this.hardwired = hardwired;
        inputs = new InputWiring(field, supply);
        outputs = new OutputWiring(field, supply);
        signals = new SignalWiring(field, supply, outputs);
        this.guard = new GuardWiring(field, supply, inputs, guard, guard.voltage(field.assembly()));
    }

    /** The variable of a contact that goes to an input as it is. */
    String input(ControlGraph.Edge edge) {
        return inputs.input(edge);
    }

    /**
     * The variable of a contact of a contactor that reports whether it is in.
     *
     * @param mirror whether it is one that is closed while the contactor is out
     */
    String feedback(String tag, String label, boolean mirror) {
        return inputs.feedback(tag, label, mirror);
    }

    /** The variable of the button that resets the alarm, which is put on the door. */
    String reset() {
        return inputs.reset();
    }

    /**
     * What tells the program of a contact that stays in copper: the guard if it is one of it, otherwise another contact of the same device; empty
     * if it has none, or if the guard has been read in front of it.
     */
    Optional<Logic> monitored(ControlGraph.Edge edge) {
        if (guard.guard().has(edge)) {
            return edge.equals(guard.guard().first()) ? Optional.of(ProgramDraft.one(guard.bit())) : Optional.empty();
        }
        return inputs.monitored(edge);
    }

    /** The variable of an output for a coil or lamp. */
    String output(Translator.Fed one, String tag, String label) throws TranslationException {
        return outputs.output(one, tag, label);
    }

    /** The variable of the alarm's lamp, which is put on the door. */
    String alarm() throws TranslationException {
        return signals.alarm();
    }

    /**
     * Draws everything in the order in which it is read: supply, inputs, outputs, coils, lamps.
     *
     * @param fed what is switched on the relay sheet
     * @param told the variables of those that the program writes, by their tags
     */
    void draw(List<Translator.Fed> fed, Map<String, String> told) {
        field.panel()
                .device(
                        "controller",
                        field.controller(),
                        "Controller",
                        "panel",
                        "inputs",
                        Integer.toString(Math.max(LEAST_INPUTS, inputs.count())),
                        "outputs",
                        Integer.toString(outputs.count()),
                        "output",
                        field.choices().transistor() ? "transistor" : "relay");
        supply.rungs().forEach(field.panel()::rung);
        field.panel()
                .rung(supply.plus() + " " + field.controller() + "[+--] " + supply.minus()
                        + " ; supply of the controller");
        inputs.rungs().forEach(field.panel()::rung);
        List<Translator.Fed> switched = fed.stream()
                .filter(one -> told.containsKey(field.part(one.consumer()).tag()))
                .toList();
        new CoilWiring(field, supply, outputs, guard, hardwired)
                .draw(switched.stream().filter(this::isCoil).toList());
        supply.ownRungs().forEach(field.panel()::rung);
        switched.stream().filter(one -> !isCoil(one)).forEach(signals::draw);
        signals.alarmRungs().forEach(field.panel()::rung);
    }

    private boolean isCoil(Translator.Fed one) {
        Load load = field.part(one.consumer()).loads().get(one.consumer().load());
        return load.role() == LoadRole.COIL;
    }
}
