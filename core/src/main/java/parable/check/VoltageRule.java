package parable.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import parable.circuit.Terminal;
import parable.network.Potential;
import parable.parts.CurrentKind;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** {@code wrong-voltage} and {@code too-little-voltage}: a coil, lamp or horn that gets another voltage than it is made for. */
final class VoltageRule implements Rule {

    private static final double MOST = 1.2;
    private static final double LEAST = 0.8;
    private static final double STRAY = 0.06;

    @Override
    public List<Finding> findings(Study study) {
        Map<Terminal, Potential> highest = new HashMap<>();
        study.trials().forEach(trial -> trial.voltages()
                .forEach((terminal, voltage) ->
                        highest.merge(terminal, voltage, (one, other) -> one.rms() >= other.rms() ? one : other)));
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            for (Load load : part.loads()) {
                Potential found = highest.get(new Terminal(part.tag(), load.from()));
                if (found != null && load.role() != LoadRole.WINDING && load.role() != LoadRole.RESISTOR) {
                    check(part, load, found, findings);
                }
            }
        }
        return findings;
    }

    private static void check(Part part, Load load, Potential found, List<Finding> findings) {
        double rated = load.rated().volts();
        boolean direct = load.rated().kind() == CurrentKind.DC;
        double right = direct ? Math.abs(found.direct()) : found.alternating();
        double wrong = direct ? found.alternating() : Math.abs(found.direct());
        String got = String.format(Locale.ROOT, "%.0f V %s", found.rms(), wrong > right ? other(direct) : own(direct));
        String made = load.rated().toString();
        if (wrong > STRAY * rated && wrong > right || right > MOST * rated) {
            findings.add(new Finding(
                    "wrong-voltage",
                    Severity.ERROR,
                    List.of(part.tag()),
                    part.tag() + " is made for " + made + " and gets " + got + ".",
                    "The rating plate decides: choose the device for this supply, or feed it from its own."));
        } else if (right < LEAST * rated && right > STRAY * rated) {
            findings.add(new Finding(
                    "too-little-voltage",
                    Severity.ERROR,
                    List.of(part.tag()),
                    part.tag() + " is made for " + made + " and never gets more than " + got + ".",
                    "Two loads in series share the voltage and neither gets its own; a supply of the wrong voltage does the"
                            + " same."));
        }
    }

    private static String own(boolean direct) {
        return direct ? "DC" : "AC";
    }

    private static String other(boolean direct) {
        return own(!direct);
    }
}
