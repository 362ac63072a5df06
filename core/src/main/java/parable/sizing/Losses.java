package parable.sizing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import parable.check.MotorCircuit;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Protection;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/** What of a sheet gives off heat in the panel while that is on together which gives off most. */
final class Losses {

    /** What a control transformer loses without load, as a share of its rated power; practice. */
    private static final double IRON = 0.04;

    /** What a regulated supply loses of what it gives; practice. */
    private static final double ELECTRONICS = 0.12;

    private final SheetFacts facts;
    private final RatingTable contactors;
    private final RatingTable losses;

    private Losses(SheetFacts facts, RatingTables tables) {
        this.facts = facts;
        contactors = tables.table("contactor");
        losses = tables.table("losses");
    }

    /** The watts by tag, those of nothing left out. */
    static Map<String, Double> of(
            SheetFacts facts, List<SheetSizing.Sized<ControlSupplySizing>> supplies, RatingTables tables) {
        Losses sheet = new Losses(facts, tables);
        Map<String, Double> watts = new LinkedHashMap<>();
        Set<String> on = facts.together().heaviest(sheet::ofCoil);
        for (Part part : facts.assembly().parts()) {
            double lost =
                    switch (part.family()) {
                        case CONTACTOR -> on.contains(part.tag())
                                ? sheet.ofCoil(part.tag()) + sheet.ofPoles(part, contactor(part))
                                : 0;
                        case CONTROL_RELAY, TIMER -> on.contains(part.tag()) ? sheet.ofCoil(part.tag()) : 0;
                        case BREAKER, FUSE, OVERLOAD_RELAY -> sheet.ofProtection(part);
                        case CONVERTER -> ofConverter(part, supplies);
                        default -> 0;
                    };
            if (lost > 0) {
                watts.put(part.tag(), lost);
            }
        }
        return watts;
    }

    private static double contactor(Part part) {
        return part.device().figure("rated").orElse(0.0);
    }

    private Stream<MotorCircuit.Carrier> carrying(Part part) {
        return facts.motors().stream()
                .flatMap(circuit -> circuit.carriers().stream())
                .filter(carrier -> carrier.part().tag().equals(part.tag()));
    }

    private double amperes(Part part) {
        return carrying(part).mapToDouble(MotorCircuit.Carrier::amperes).sum();
    }

    private static int poles(Part part) {
        return (int) part.contacts().stream().filter(Contact::pole).count();
    }

    private double ofPoles(Part part, double rated) {
        double amperes = amperes(part);
        double frame = rated > 0 ? rated : amperes;
        return amperes == 0 || frame == 0 ? 0 : PanelHeat.ofPoles(contactors, "W a pole", frame, amperes, poles(part));
    }

    private double ofProtection(Part part) {
        double amperes = amperes(part);
        double rated = part.protection()
                .map(Protection::amperes)
                .or(() -> part.heater().map(heater -> heater.setting()))
                .orElse(0.0);
        String column =
                switch (part.family()) {
                    case FUSE -> "fuse";
                    case OVERLOAD_RELAY -> "overload relay";
                    default -> "breaker";
                };
        return amperes == 0 || rated == 0
                ? 0
                : PanelHeat.ofPoles(losses, column, rated, amperes, part.family() == Family.FUSE ? 1 : 3);
    }

    /** What the coil of a device turns to heat, in W. */
    private double ofCoil(String tag) {
        Part part = facts.assembly().part(tag).orElseThrow();
        double rated = Math.max(contactor(part), amperes(part));
        if (part.family() == Family.CONTACTOR) {
            RatingLine line = contactors.from(rated).orElse(contactors.most());
            return line.number("W the coil").orElse(0);
        }
        return part.loads().stream()
                .mapToDouble(load -> load.watts(load.rated().volts()))
                .sum();
    }

    private static double ofConverter(Part part, List<SheetSizing.Sized<ControlSupplySizing>> supplies) {
        if (part.device().kind().equals("dc-supply")) {
            double amperes = part.device().figure("rated").orElse(0.0);
            return ELECTRONICS * amperes * part.sources().get(0).rated().volts();
        }
        return supplies.stream()
                .filter(one -> one.tag().equals(part.tag()))
                .flatMap(one -> one.sizing().stream())
                .mapToDouble(sizing ->
                        IRON * sizing.inputs().quantity(ControlQuestion.RATED).orElse(0.0))
                .sum();
    }
}
