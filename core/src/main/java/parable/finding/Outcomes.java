package parable.finding;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import parable.testsheet.Found;
import parable.testsheet.Observation;

/** What a look can come to: findings that nobody could tell apart, within the tolerance of what they are read with, are one outcome. */
final class Outcomes {

    private final Observation observation;
    private final List<Found> first = new ArrayList<>();
    private final Map<String, Integer> known = new HashMap<>();

    Outcomes(Observation observation) {
        this.observation = observation;
    }

    /** The number of the outcome that a finding is of. */
    int of(Found found) {
        Integer number = known.get(found.text());
        if (number == null) {
            number = match(found);
            known.put(found.text(), number);
        }
        return number;
    }

    /** Either way round: a reading that would be taken for the other's tells nobody which of them it is. */
    private int match(Found found) {
        for (int i = 0; i < first.size(); i++) {
            boolean taken = observation.accepts(first.get(i), found.text())
                    || observation.accepts(found, first.get(i).text());
            if (taken) {
                return i;
            }
        }
        first.add(found);
        return first.size() - 1;
    }

    /** How an outcome is written. */
    String text(int outcome) {
        return first.get(outcome).text();
    }
}
