package parable.plc;

import parable.circuit.Rail;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Load;
import parable.parts.Part;

/**
 * What all of the wiring of a controller is drawn with.
 *
 * @param assembly the relay sheet
 * @param graph its ladder
 * @param panel the sheet that is drawn
 * @param program the program that is written
 * @param choices what was chosen for the translation
 * @param american whether tags are those of North America
 * @param controller the tag of the controller
 */
record FieldDraft(
        Assembly assembly,
        ControlGraph graph,
        PanelDraft panel,
        ProgramDraft program,
        TranslationChoices choices,
        boolean american,
        String controller) {

    static final String DC_24 = "24 V DC";

    /** The rail that a node is. */
    String railOf(int node) {
        return assembly.nodes().all().get(node).names().stream()
                .filter(name ->
                        assembly.sheet().rails().stream().map(Rail::name).anyMatch(name::equals))
                .findFirst()
                .orElseThrow();
    }

    /** The device of a consumer. */
    Part part(ControlGraph.Consumer consumer) {
        return assembly.parts().get(consumer.part());
    }

    /** Whether a load is for 24 V DC. */
    static boolean isDirect24(Load load) {
        return load.rated().kind() == CurrentKind.DC && load.rated().volts() == 24;
    }

    /** A contact as it is written on a rung. */
    String passage(ControlGraph.Edge edge) {
        return graph.part(edge).tag() + "[" + graph.contact(edge).marking() + "]";
    }
}
