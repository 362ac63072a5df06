package parable.sizing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.network.FedLoads;
import parable.network.Network;
import parable.parts.Assembly;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.proof.OnTogether;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/**
 * A regulated DC supply as it is drawn, with what can be on it together. Coils for direct current take no inrush.
 *
 * @param part the supply
 * @param sheet what is stated of it is on this sheet
 * @param amperes what is on it together, in A
 */
record DrawnDirectSupply(Part part, Sheet sheet, double amperes) {

    static final String LOAD = "direct-load";
    static final String SUPPLY = "direct-supply";

    /** A supply is not loaded to its last ampere for good. */
    private static final double RESERVE = 1.2;

    static List<DrawnDirectSupply> all(Assembly assembly, OnTogether together) {
        FedLoads loads = new FedLoads(Network.of(assembly));
        List<DrawnDirectSupply> all = new ArrayList<>();
        for (Part part : assembly.parts()) {
            if (part.device().kind().equals("dc-supply")) {
                all.add(new DrawnDirectSupply(
                        part,
                        assembly.sheet(),
                        amperes(loads.of(part, part.sources().get(0)), together)));
            }
        }
        return all;
    }

    private static double amperes(List<FedLoads.Fed> fed, OnTogether on) {
        Map<String, Double> coils = new LinkedHashMap<>();
        fed.forEach(one -> coils.merge(one.part().tag(), ampere(one), Double::sum));
        Set<String> together = on.heaviest(tag -> coils.getOrDefault(tag, 0.0));
        return fed.stream()
                .filter(one -> one.load().role() != LoadRole.COIL
                        || together.contains(one.part().tag()))
                .mapToDouble(DrawnDirectSupply::ampere)
                .sum();
    }

    private static double ampere(FedLoads.Fed fed) {
        return fed.load().rated().volts() / fed.load().ohms();
    }

    ControlSupplySizing sized(Practice practice, RatingTables tables) throws SizingException {
        SheetSizing.Given given = SheetSizing.Given.of(sheet, part.tag(), key -> false);
        Chain chain = new Chain(part.tag(), tables, given.overrides());
        double load = chain.add(ResultDraft.of(LOAD, "Load that is on together")
                .is(amperes, "A")
                .by("U / R of all that hangs on it and can be on together", "Ohm's law"));
        RatingTable table = tables.table("dc-supply");
        RatingLine line = table.from(RESERVE * load).orElse(table.most());
        double drawn = part.device().figure("rated").orElse(Double.POSITIVE_INFINITY);
        boolean kept = drawn >= load;
        chain.add(ResultDraft.of(SUPPLY, "DC supply")
                .from("load", load, "A")
                .is(line.amount(), "A")
                .by("1.2 times the load, to the next size upwards", "practice")
                .read(table, line)
                .limit(
                        kept,
                        kept
                                ? "The one that is drawn carries the load."
                                : "The one that is drawn, " + Figures.written(drawn) + " A, does not carry the load."));
        return new ControlSupplySizing(
                new SizingInputs(part.tag(), practice, List.of(), Map.of(), Map.of()), chain.results());
    }
}
