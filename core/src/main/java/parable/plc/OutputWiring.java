package parable.plc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.program.Address;

/** The outputs of a controller, in groups of four with a common each. */
final class OutputWiring {

    private static final int GROUP = 4;
    private static final int LEAST = 8;
    private static final int MOST = 16;

    private final FieldDraft field;
    private final ControllerSupply supply;
    private final Map<String, Integer> outputs = new LinkedHashMap<>();
    private final Map<String, List<Integer>> groups = new LinkedHashMap<>();

    OutputWiring(FieldDraft field, ControllerSupply supply) {
        this.field = field;
        this.supply = supply;
    }

    /** How many outputs the controller needs, whole groups. */
    int count() {
        int last = outputs.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        return Math.max(LEAST, GROUP * (last / GROUP + 1));
    }

    /** The variable of an output for a coil or lamp. */
    String output(Translator.Fed one, String tag, String label) throws TranslationException {
        Load load = field.part(one.consumer()).loads().get(one.consumer().load());
        boolean coil = load.role() == LoadRole.COIL;
        String group = coil
                ? FieldDraft.isDirect24(load) ? "coils" : supply.plus()
                : field.choices().transistor() ? supply.plus() : field.railOf(one.feed());
        return output(group, tag, label);
    }

    /** The variable of an output of a group. */
    String output(String group, String tag, String label) throws TranslationException {
        List<Integer> places = groups.computeIfAbsent(group, any -> new ArrayList<>());
        int number = places.size() % GROUP == 0
                ? GROUP
                        * (int) groups.values().stream()
                                .mapToLong(others -> (others.size() + GROUP - 1) / GROUP)
                                .sum()
                : places.get(places.size() - 1) + 1;
        if (number >= MOST) {
            throw new TranslationException(
                    field.assembly().sheet().name(),
                    "more coils and lamps than four groups of outputs",
                    Integer.toString(MOST));
        }
        places.add(number);
        outputs.put(tag, number);
        return field.program().bit(tag, Optional.of(ProgramDraft.address(Address.Area.OUTPUT, number)), label);
    }

    /** The contact of the output that a coil or lamp is switched by. */
    String contactOf(String tag) {
        int number = outputs.get(tag);
        return field.controller() + "[QC" + number / GROUP + "-Q" + number + "]";
    }
}
