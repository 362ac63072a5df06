package parable.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.network.FedLoads;
import parable.network.Network;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;
import parable.proof.OnTogether;
import parable.ratings.RatingTables;

/**
 * A control transformer as it is drawn, with what can be on it together.
 *
 * @param part the transformer
 * @param sheet what is stated of it is on this sheet
 * @param watts what is in together takes, in W
 * @param vars what goes to and fro in that, in var
 * @param last the coil that comes in last and takes most; its part is the transformer itself if there is none
 * @param holding what the weakest coil for alternating current takes, in VA; 0 if there is none
 */
record DrawnControlSupply(Part part, Sheet sheet, double watts, double vars, FedLoads.Fed last, double holding) {

    static List<DrawnControlSupply> all(Assembly assembly, OnTogether together) {
        FedLoads loads = new FedLoads(Network.of(assembly));
        List<DrawnControlSupply> all = new ArrayList<>();
        for (Part part : assembly.parts()) {
            if (part.device().kind().equals("control-transformer")) {
                part.sources().stream()
                        .findFirst()
                        .ifPresent(source -> all.add(of(assembly.sheet(), together, part, loads.of(part, source))));
            }
        }
        return all;
    }

    private static DrawnControlSupply of(Sheet sheet, OnTogether on, Part part, List<FedLoads.Fed> fed) {
        FedLoads.Fed last = fed.stream()
                .filter(one -> isMagnet(one))
                .max((one, other) -> Double.compare(inrush(one.load()), inrush(other.load())))
                .orElse(new FedLoads.Fed(part, part.loads().get(0)));
        Map<String, Double> taken = new LinkedHashMap<>();
        fed.forEach(one -> taken.merge(one.part().tag(), voltAmperes(one.load()), Double::sum));
        Set<String> together = on.heaviest(tag -> taken.getOrDefault(tag, 0.0));
        double watts = 0;
        double vars = 0;
        for (FedLoads.Fed one : fed) {
            boolean coil = one.load().role() == LoadRole.COIL;
            if (!one.equals(last) && (!coil || together.contains(one.part().tag()))) {
                watts += one.load().watts(one.load().rated().volts());
                vars += one.load().vars(one.load().rated().volts());
            }
        }
        return new DrawnControlSupply(part, sheet, watts, vars, last, weakest(fed));
    }

    private static double weakest(List<FedLoads.Fed> fed) {
        return fed.stream()
                .filter(one -> isMagnet(one) && one.load().role() == LoadRole.COIL)
                .mapToDouble(one -> voltAmperes(one.load()))
                .min()
                .orElse(0);
    }

    private static boolean isMagnet(FedLoads.Fed fed) {
        return fed.part().drive() instanceof Drive.ByCoil && fed.load().rated().kind() == CurrentKind.AC;
    }

    private static double voltAmperes(Load load) {
        return load.rated().volts() * load.rated().volts() / Math.hypot(load.ohms(), load.reactance());
    }

    private static double inrush(Load load) {
        return load.rated().volts() * load.rated().volts() / load.openOhms();
    }

    String tag() {
        return part.tag();
    }

    String title() {
        return part.device().title();
    }

    ControlSupplySizing sized(Practice practice, RatingTables tables) throws SizingException {
        Device device = part.device();
        Source source = part.sources().get(0);
        Map<String, String> drawn = new LinkedHashMap<>();
        drawn.put(ControlQuestion.RATED.key(), device.setting("rated").orElse("100 VA"));
        drawn.put(
                ControlQuestion.PRIMARY.key(),
                Figures.written(part.loads().get(0).rated().volts()) + " V");
        drawn.put(
                ControlQuestion.SECONDARY.key(), Figures.written(source.rated().volts()) + " V");
        double held = Math.hypot(watts, vars);
        drawn.put(ControlQuestion.SEALED.key(), Figures.written(held) + " VA");
        drawn.put(
                ControlQuestion.SEALED_FACTOR.key(),
                Figures.written(held > 0 ? Math.max(0.05, Math.min(1, watts / held)) : 1));
        if (last.part() != part) {
            drawn.put(ControlQuestion.INRUSH.key(), Figures.written(inrush(last.load())) + " VA");
        }
        if (holding > 0) {
            drawn.put(ControlQuestion.HOLDING.key(), Figures.exact(holding) + " VA");
        }
        SheetSizing.Given given = SheetSizing.Given.of(sheet, part.tag(), key -> ControlQuestion.all().stream()
                .anyMatch(one -> one.key().equals(key)));
        return ControlSupplySizing.of(
                new SizingInputs(part.tag(), practice, ControlQuestion.all(), drawn, given.answers()),
                tables,
                given.overrides());
    }
}
