package parable.network;

import java.util.ArrayList;
import java.util.List;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * A diode inside a converter. The bridge of a rectifier has one from each side of its input to plus and one from minus to each side of its
 * input; the output of a regulated DC supply lets current pass from minus to plus, as its output rectifier does.
 *
 * @param from the marking of the terminal at its anode
 * @param to the marking of the terminal at its cathode
 */
record Diode(String from, String to) {

    /** The diodes of a part, none if it converts nothing. */
    static List<Diode> of(Part part) {
        List<Diode> diodes = new ArrayList<>();
        for (Source source : part.sources()) {
            source.following().ifPresent(following -> {
                switch (following.law()) {
                    case RECTIFIED -> {
                        Load input = part.loads().get(following.load());
                        diodes.add(new Diode(input.from(), source.live()));
                        diodes.add(new Diode(input.to(), source.live()));
                        diodes.add(new Diode(source.reference(), input.from()));
                        diodes.add(new Diode(source.reference(), input.to()));
                    }
                    case REGULATED -> diodes.add(new Diode(source.reference(), source.live()));
                    case IN_PROPORTION -> {}
                }
            });
        }
        return diodes;
    }
}
