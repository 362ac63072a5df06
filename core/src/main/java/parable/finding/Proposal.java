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

    private static final String TO_MAKE_SURE =
            " and makes sure: so far it is only what was left over, and nothing that was measured shows it.";

    /**
     * What a look may show.
     *
     * @param found as it would be written down
     * @param share how likely that is
     * @param suspects which would show it, the likeliest first; none where it would speak against all that are left
     */
    public record Show(String found, double share, List<Suspect> suspects) {

        /** Not modified: the list is copied. */
        public Show {
            suspects = List.copyOf(suspects);
        }

        /** What it would mean: {@code K1 13-14 no longer conducts, and 2 more}. */
        public String means() {
            int more = suspects.size() - 1;
            return suspects.isEmpty()
                    ? "then it is something else"
                    : suspects.get(0).words() + (more > 0 ? ", and " + more + " more" : "");
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
        return "It takes about " + (minutes < 1 ? Math.round(60 * minutes) + " s" : Math.round(minutes) + " min")
                + (isToMakeSure() ? TO_MAKE_SURE : " and " + sorts() + ".");
    }

    /** Whether it tells no suspects apart, but shows whether it is what was left over. */
    public boolean isToMakeSure() {
        return shows.stream().anyMatch(show -> show.suspects().isEmpty());
    }

    private String sorts() {
        long suspects = shows.stream().mapToLong(show -> show.suspects().size()).sum();
        Show first = shows.get(0);
        return "sorts " + suspects + " suspects into " + shows.size() + " groups; the largest has "
                + first.suspects().size();
    }
}
