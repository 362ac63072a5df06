package parable.wiring;

import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/** The labels of a sheet: one for each device in the order of the sheet, then two for each wire in the order in which they are made. */
public final class Labels {

    private Labels() {}

    /** The labels of an assembled sheet. */
    public static List<Label> of(Assembly assembly, Practice practice) {
        PanelLayout layout = PanelLayout.of(assembly);
        Stream<Label> devices = assembly.parts().stream()
                .map(part ->
                        new Label(part.tag(), Label.On.DEVICE, part.device().label(), layout.place(part.tag())));
        Stream<Label> ends = WireList.of(assembly, practice).wires().stream()
                .flatMap(wire -> Stream.of(wire.from(), wire.to()).map(end -> ferrule(wire, end, layout)));
        return Stream.concat(devices, ends).toList();
    }

    private static Label ferrule(Wire wire, Terminal end, PanelLayout layout) {
        return new Label(wire.number(), Label.On.WIRE_END, end.toString(), layout.place(end.tag()));
    }
}
