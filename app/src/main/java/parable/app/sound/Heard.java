package parable.app.sound;

import java.util.ArrayList;
import java.util.List;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What is heard from one instant to the next of the same sheet.
 *
 * @param clicks what goes in or out, in the order of the sheet
 * @param horn whether a horn sounds in the later one
 */
record Heard(List<Click> clicks, boolean horn) {

    Heard {
        clicks = List.copyOf(clicks);
    }

    /** An armature that comes home or leaves. */
    enum Click {
        CONTACTOR_IN,
        CONTACTOR_OUT,
        RELAY_IN,
        RELAY_OUT
    }

    static Heard of(Moment before, Moment now) {
        List<Click> clicks = new ArrayList<>();
        boolean horn = false;
        for (Part part : now.assembly().parts()) {
            horn |= part.family() == Family.HORN && now.condition(part.tag()) == Condition.SOUNDING;
            boolean contactor = part.family() == Family.CONTACTOR;
            if ((contactor || part.family() == Family.CONTROL_RELAY) && before.assembly() == now.assembly()) {
                boolean was = before.condition(part.tag()) == Condition.IN;
                boolean is = now.condition(part.tag()) == Condition.IN;
                if (was != is) {
                    clicks.add(
                            contactor
                                    ? is ? Click.CONTACTOR_IN : Click.CONTACTOR_OUT
                                    : is ? Click.RELAY_IN : Click.RELAY_OUT);
                }
            }
        }
        return new Heard(clicks, horn);
    }
}
