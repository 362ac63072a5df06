package parable.finding;

import java.util.Map;
import parable.bench.Fault;
import parable.ratings.RatingTables;

/** How likely a fault is against the others before anything is looked at: by its kind, and by what failed before. */
final class FaultWeights {

    private static final double LEAST = 0.01;

    /** Of a hundred troubles with something in common about one has two causes. */
    private static final double RARE = 1e-3;

    /** Where no single fault fits what was seen, a pair that does comes before a single one and a wrong reading. */
    private static final double AT_HAND = 1e-2;

    private final RatingTables tables;
    private final String column;
    private final Map<String, Integer> before;
    private final double pairs;

    /**
     * Weights by the table {@code fault-weights}.
     *
     * @param newPanel whether nobody has run it yet, so that it may be wired wrong
     * @param before how often the record tells of a fault of a device, by its tag
     */
    FaultWeights(RatingTables tables, boolean newPanel, Map<String, Integer> before) {
        this(tables, newPanel ? "new panel" : "in use", Map.copyOf(before), RARE);
    }

    private FaultWeights(RatingTables tables, String column, Map<String, Integer> before, double pairs) {
        this.tables = tables;
        this.column = column;
        this.before = before;
        this.pairs = pairs;
    }

    /** The same where it is known that no single fault fits. */
    FaultWeights ofNoSingleFault() {
        return new FaultWeights(tables, column, before, AT_HAND);
    }

    /** The weight of a suspect; two faults at once are rarer than either. */
    double of(Suspect suspect) {
        double rarity = suspect.faults().size() > 1 ? pairs : 1;
        return rarity * suspect.faults().stream().mapToDouble(this::of).reduce(1, (one, other) -> one * other);
    }

    private double of(Fault fault) {
        double weight = tables.table("fault-weights")
                .line(fault.kind().word())
                .map(line -> line.number(column).orElse(1))
                .orElse(1.0);
        return Math.max(LEAST, weight) * (1 + before.getOrDefault(fault.tag(), 0));
    }
}
