package parable.wiring;

import java.util.List;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Protection;

/**
 * Colours and cross-sections as usual in a practice: IEC 60204-1 (13.2.4) and NFPA 79 (13.2). Sizes by the largest breaker or fuse in the power
 * circuit: IEC 60204-1:2016, table 6, method B2; NEC table 310.16, 60 degrees. They are proposals; local code decides.
 */
final class Conductors {

    private static final double[] IEC_AMPERES = {13.1, 17.4, 23, 30, 40, 54, 70};
    private static final String[] IEC_SIZES = {"1.5 mm²", "2.5 mm²", "4 mm²", "6 mm²", "10 mm²", "16 mm²", "25 mm²"};
    private static final String CONTROL = "1 mm²";

    /** DIN 46228-4. */
    private static final String[] FERRULES = {"black", "blue", "grey", "yellow", "red", "blue", "yellow"};

    private static final double[] NEC_AMPERES = {15, 20, 30, 40, 55, 70, 95};
    private static final String[] NEC_SIZES = {"14 AWG", "12 AWG", "10 AWG", "8 AWG", "6 AWG", "4 AWG", "2 AWG"};

    private final Assembly assembly;
    private final boolean iec;
    private final double amperes;

    Conductors(Assembly assembly, Practice practice) {
        this.assembly = assembly;
        iec = practice == Practice.IEC;
        amperes = assembly.parts().stream()
                .filter(part -> part.family() == Family.BREAKER)
                .flatMap(part -> part.protection().stream())
                .mapToDouble(Protection::amperes)
                .max()
                .orElse(10);
    }

    private Part part(Terminal terminal) {
        return assembly.part(terminal.tag()).orElseThrow();
    }

    private boolean isEarth(Node node) {
        return node.terminals().stream().anyMatch(terminal -> terminal.marking().equals("PE"));
    }

    /** Whether a node is part of the power circuit: all its terminals are poles, windings or sources. */
    private boolean isPower(Node node) {
        Sheet sheet = assembly.sheet();
        boolean inLadder =
                sheet.control().stream().flatMap(rung -> rung.terminals()).anyMatch(node.terminals()::contains);
        boolean rail = sheet.rails().stream().anyMatch(one -> node.names().contains(one.name()));
        return !inLadder && !rail;
    }

    /** Whether the return side that is bonded to earth is on a node. */
    private boolean isGrounded(Node node) {
        return node.terminals().stream().anyMatch(terminal -> part(terminal).sources().stream()
                .anyMatch(source -> source.grounded() && source.reference().equals(terminal.marking())));
    }

    private boolean isDirect(Node node) {
        return node.terminals().stream()
                        .anyMatch(terminal -> isDirectLoad(terminal)
                                || part(terminal).sources().stream()
                                        .anyMatch(source -> source.rated().kind() == CurrentKind.DC
                                                && List.of(source.live(), source.reference())
                                                        .contains(terminal.marking())))
                || joinsDirect(node);
    }

    private boolean isDirectLoad(Terminal terminal) {
        return part(terminal).loads().stream()
                .filter(load -> List.of(load.from(), load.to()).contains(terminal.marking()))
                .map(Load::rated)
                .anyMatch(rated -> rated.kind() == CurrentKind.DC);
    }

    /** Whether a rung that a node is on has a load for direct voltage. */
    private boolean joinsDirect(Node node) {
        return assembly.sheet().control().stream()
                .filter(rung -> rung.terminals().anyMatch(node.terminals()::contains))
                .anyMatch(rung -> rung.items().stream()
                        .anyMatch(
                                item -> item instanceof RungItem.Passage passage && isDirectLoad(passage.lineSide())));
    }

    /** What a wire of a node is made of. */
    Conductor of(Node node) {
        String size = size(node);
        int at = List.of(IEC_SIZES).indexOf(size);
        String ferrule = size.equals(CONTROL) ? "red ferrule" : at < 0 ? "none" : FERRULES[at] + " ferrule";
        return new Conductor(colour(node), size, ferrule);
    }

    private String colour(Node node) {
        if (isEarth(node)) {
            return "green-yellow";
        }
        if (isPower(node)) {
            return isGrounded(node) ? neutral() : "black";
        }
        boolean direct = isDirect(node);
        if (isGrounded(node)) {
            return iec ? direct ? "blue" : "light blue" : direct ? "white with blue" : "white";
        }
        return direct ? "blue" : "red";
    }

    private String neutral() {
        return iec ? "light blue" : "white";
    }

    private String size(Node node) {
        if (!isPower(node) && !isEarth(node)) {
            return iec ? CONTROL : "16 AWG";
        }
        double[] carries = iec ? IEC_AMPERES : NEC_AMPERES;
        String[] sizes = iec ? IEC_SIZES : NEC_SIZES;
        for (int i = 0; i < carries.length; i++) {
            if (carries[i] >= amperes) {
                return sizes[i];
            }
        }
        return "by calculation";
    }
}
