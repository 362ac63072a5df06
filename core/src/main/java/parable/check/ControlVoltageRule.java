package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import parable.circuit.ColourCode;
import parable.circuit.Practice;
import parable.parts.CurrentKind;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code control-voltage}: a coil for more alternating voltage than the practice allows in a control circuit: 120 V in North America (NFPA 79, 9.1.2), elsewhere
 * 277 V, and 230 V on 50 Hz since 2016 (IEC 60204-1, 9.1.2), here with the 240 V of older supplies let pass.
 */
final class ControlVoltageRule implements Rule {

    private static final double NORTH_AMERICAN = 120;
    private static final double SIXTY_HERTZ = 277;
    private static final double FIFTY_HERTZ = 240;

    @Override
    public List<Finding> findings(Study study) {
        double most = most(study);
        List<Finding> findings = new ArrayList<>();
        study.relays().forEach(relay -> {
            Load coil = Study.coil(relay);
            boolean fits = coil.rated().kind() != CurrentKind.AC || coil.rated().volts() <= most;
            if (coil.role() == LoadRole.COIL && !fits && study.isWired(relay, coil.from())) {
                findings.add(finding(relay, coil, most));
            }
        });
        return findings;
    }

    private static double most(Study study) {
        if (study.colours().equals(ColourCode.of(Practice.NORTH_AMERICAN))) {
            return NORTH_AMERICAN;
        }
        boolean sixty = study.assembly().sheet().devices().stream()
                .flatMap(device -> device.setting("frequency").stream())
                .anyMatch("60 Hz"::equals);
        return sixty ? SIXTY_HERTZ : FIFTY_HERTZ;
    }

    private static Finding finding(Part relay, Load coil, double most) {
        return new Finding(
                "control-voltage",
                Severity.WARNING,
                List.of(relay.tag()),
                String.format(
                        Locale.ROOT,
                        "%s has a coil for %s; a control circuit has at most %.0f V here.",
                        relay.tag(),
                        coil.rated(),
                        most),
                "Hands and long cables are on this circuit. Take it from a control transformer, and coils for its voltage.");
    }
}
