package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;

/**
 * The next best look.
 *
 * @param look what to do and read
 * @param minutes how long it takes
 * @param bits how much it tells, in bits: 1 halves the suspects
 * @param shows what it would show, the likeliest first
 */
public record Proposal(PanelLook look, double minutes, double bits, List<Show> shows) {

    /**
     * What a look may show.
     *
     * @param found as it would be written down
     * @param share how likely that is
     * @param suspects which would show it, the likeliest first
     */
    public record Show(String found, double share, List<Suspect> suspects) {

        /** Not modified: the list is copied. */
        public Show {
            suspects = List.copyOf(suspects);
        }
    }

    /** Not modified: the list is copied. */
    public Proposal {
        shows = List.copyOf(shows);
    }

    /** Of a look at all devices that act only those are left that could be otherwise. */
    Proposal toThePoint() {
        if (!(look.observation() instanceof Glimpse sight)) {
            return this;
        }
        List<List<String>> words =
                shows.stream().map(show -> List.of(show.found().split(", "))).toList();
        List<Integer> telling = IntStream.range(0, sight.tags().size())
                .filter(tag ->
                        words.stream().map(one -> one.get(tag)).distinct().count() > 1)
                .boxed()
                .toList();
        Observation those = new Glimpse(telling.stream().map(sight.tags()::get).toList());
        List<Show> shorter = new ArrayList<>();
        for (int i = 0; i < shows.size(); i++) {
            String found = telling.stream().map(words.get(i)::get).collect(Collectors.joining(", "));
            shorter.add(new Show(found, shows.get(i).share(), shows.get(i).suspects()));
        }
        return new Proposal(new PanelLook(look.situation(), those), minutes, bits, shorter);
    }

    /** Why this one, in a sentence. */
    public String why() {
        long suspects = shows.stream().mapToLong(show -> show.suspects().size()).sum();
        Show first = shows.get(0);
        return "It takes about " + (minutes < 1 ? Math.round(60 * minutes) + " s" : Math.round(minutes) + " min")
                + " and sorts " + suspects + " suspects into " + shows.size() + " groups; the largest has "
                + first.suspects().size() + ".";
    }
}
