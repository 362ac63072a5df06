package parable.plc;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** The circuits of lamps, horns and solenoids that a controller switches, and its alarm. */
final class SignalWiring {

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final OutputWiring outputs;
    private final List<String> alarm = new ArrayList<>();

    SignalWiring(FieldDraft field, ControllerSupply supply, OutputWiring outputs) {
        this.field = field;
        this.supply = supply;
        this.outputs = outputs;
    }

    /** The rungs of the alarm's lamp, if there is one. */
    List<String> alarmRungs() {
        return List.copyOf(alarm);
    }

    /** The variable of the alarm's lamp, which is put on the door. */
    String alarm() throws TranslationException {
        String tag = field.panel().tag(field.american() ? "LT" : "P", 1);
        field.panel().device("pilot-lamp", tag, "Mismatch", "door", "lamp", FieldDraft.DC_24, "colour", "yellow");
        String name = outputs.output(supply.plus(), tag, "mismatch alarm");
        alarm.add(supply.plus() + " " + outputs.contactOf(tag) + " "
                + field.panel().point() + " " + tag + "[X1-X2] " + supply.minus()
                + " ; a contactor does not do as it is told");
        return name;
    }

    /** Draws the circuit of a signal. */
    void draw(Translator.Fed one) {
        Part part = field.part(one.consumer());
        Load load = part.loads().get(one.consumer().load());
        boolean moved = field.choices().transistor() && !FieldDraft.isDirect24(load);
        if (moved) {
            String setting = load.role() == LoadRole.LAMP ? "lamp" : load.role() == LoadRole.HORN ? "rated" : "coil";
            field.panel().rerate(part.tag(), setting, FieldDraft.DC_24);
        }
        String feed = field.choices().transistor() ? supply.plus() : field.railOf(one.feed());
        String back = moved ? supply.minus() : field.railOf(one.back());
        field.panel()
                .rung(feed + " " + outputs.contactOf(part.tag()) + " "
                        + field.panel().point() + " " + part.tag() + "[" + load.from() + "-"
                        + load.to() + "] " + back
                        + (part.device().label().isEmpty()
                                ? ""
                                : " ; " + part.device().label()));
    }
}
