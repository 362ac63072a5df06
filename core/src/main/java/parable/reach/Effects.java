package parable.reach;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What a sheet shows once all has settled.
 *
 * @param motors the motors that are fed, each with the way it turns
 * @param in the contactors and relays that are in
 * @param lit the lamps, horns and solenoids that are on; of a button its lamp
 */
public record Effects(List<String> motors, List<String> in, List<String> lit) {

    public Effects {
        motors = List.copyOf(motors);
        in = List.copyOf(in);
        lit = List.copyOf(lit);
    }

    /** What is seen of outcomes that follow each other round and round: one, if only lamps come and go; else all of them. */
    public static Set<Effects> ofRound(List<Effects> round) {
        Set<Effects> all = new LinkedHashSet<>(round);
        boolean onlyBlinks = all.stream().map(Effects::motors).distinct().count() == 1
                && all.stream().map(Effects::in).distinct().count() == 1;
        if (all.size() < 2 || !onlyBlinks) {
            return all;
        }
        Set<String> lit = new LinkedHashSet<>();
        all.forEach(outcome -> lit.addAll(outcome.lit));
        List<String> told = lit.stream()
                .map(signal -> all.stream().allMatch(outcome -> outcome.lit.contains(signal))
                        ? signal
                        : signal + ", blinking,")
                .toList();
        Effects first = round.get(0);
        return Set.of(new Effects(first.motors, first.in, told));
    }

    /** What a lamp is called that is in a button. */
    public static String lampIn(String button) {
        return button + "'s lamp";
    }

    /** What can be seen from in front of the door: motors and signals. */
    public Effects seen() {
        return new Effects(motors, List.of(), lit);
    }

    /** {@code M1 runs forward, K1 is in, P1 is on}. */
    public String words() {
        List<String> words = new ArrayList<>();
        words.add(motors.isEmpty() ? "no motor runs" : String.join(" and ", motors));
        if (!in.isEmpty()) {
            words.add(list(in) + (in.size() == 1 ? " is in" : " are in"));
        }
        if (!lit.isEmpty()) {
            words.add(list(lit) + (lit.size() == 1 ? " is on" : " are on"));
        }
        return String.join(", ", words);
    }

    private static String list(List<String> tags) {
        return tags.size() == 1
                ? tags.get(0)
                : String.join(", ", tags.subList(0, tags.size() - 1)) + " and " + tags.get(tags.size() - 1);
    }
}
