package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * Where states lead in one step, worked out once for all that are alike. States of a group differ only in what hands did; so the circuit does
 * the same by itself in all those of which the same is made, and a hand does the same in every group.
 */
final class Neighbours {

    private final CircuitMachine machine;
    private final States states;
    private final int[] wayOfPlace;
    private final int placeWays;
    private final long[][] byPlace;
    private final List<int[]> byGroup = new ArrayList<>();
    private final Numbering ways = new Numbering();
    private int[] wayOfGroup = new int[1 << 6];
    private int numbered;
    private Conduction[][] made = new Conduction[1 << 4][];
    private int[] groups = new int[1 << 4];
    private int found;
    private final List<Known> known = new ArrayList<>();

    /**
     * What the circuit does by itself at some places of a group.
     *
     * @param groups the groups that it may come to; the place in the group stays
     * @param goesOn whether it has to go to one of them
     * @param places those that were asked about, a bit each, in as many words as a {@link StateSet} has
     */
    record Own(int[] groups, boolean goesOn, long[] places) {

        private boolean isSame(Own other) {
            return goesOn == other.goesOn && Arrays.equals(groups, other.groups);
        }
    }

    /**
     * Nothing worked out yet.
     *
     * @param states those that are found; where a step leads to a new group it is entered there
     */
    Neighbours(CircuitMachine machine, States states) {
        this.machine = machine;
        this.states = states;
        byPlace = new long[states.places()][];
        Numbering waysOfPlaces = new Numbering();
        wayOfPlace = IntStream.range(0, states.places())
                .map(place -> waysOfPlaces.add(machine.contacts(place)))
                .toArray();
        placeWays = waysOfPlaces.size();
    }

    /** How the state at a place of a group is joined and fed. */
    Conduction conduction(int group, int place) {
        int wayOfOthers = wayOf(group);
        Conduction[] inGroup = made[wayOfOthers];
        int way = wayOfPlace[place];
        if (inGroup[way] == null) {
            inGroup[way] = machine.conduction(states.first(group) | place);
        }
        return inGroup[way];
    }

    /** A state of those found for each way in which contacts may stand. */
    LongStream oneOfEachWay() {
        LongStream.Builder one = LongStream.builder();
        BitSet met = new BitSet();
        for (int group = 0; group < states.groups(); group++) {
            for (int place = 0; place < states.places(); place++) {
                int way = wayOf(group) * placeWays + wayOfPlace[place];
                if (states.indexOf(group, place) >= 0 && !met.get(way)) {
                    met.set(way);
                    one.add(states.first(group) | place);
                }
            }
        }
        return one.build();
    }

    /** The number of the way in which the contacts stand that the groups tell apart. */
    private int wayOf(int group) {
        while (numbered <= group) {
            if (numbered == wayOfGroup.length) {
                wayOfGroup = Arrays.copyOf(wayOfGroup, 2 * numbered);
            }
            int way = ways.add(machine.contacts(states.first(numbered)));
            wayOfGroup[numbered++] = way;
            if (way == made.length) {
                made = Arrays.copyOf(made, 2 * way);
            }
            if (made[way] == null) {
                made[way] = new Conduction[placeWays];
            }
        }
        return wayOfGroup[group];
    }

    /**
     * What the circuit does by itself at a place of a group.
     *
     * @param conduction how the state there is joined and fed
     */
    Own own(int group, int place, Conduction conduction) {
        while (known.size() <= group) {
            known.add(new Known(states.first(known.size())));
        }
        long state = states.first(group) | place;
        Own own = conduction.isSure()
                ? known.get(group).own(state, conduction)
                : known.get(group).unsure(state, conduction);
        own.places()[place >>> 6] |= 1L << place;
        return own;
    }

    /** All that the circuit does by itself at the places of a group that were asked about; each of them is among the places of one. */
    List<Own> known(int group) {
        return group < known.size() ? known.get(group).all : List.of();
    }

    private Own worked(long state, Conduction conduction) {
        found = 0;
        boolean goesOn = machine.eachOwn(state, conduction, this::find);
        return new Own(Arrays.copyOf(groups, found), goesOn, new long[states.words()]);
    }

    private void find(long next) {
        if (found == groups.length) {
            groups = Arrays.copyOf(groups, 2 * found);
        }
        groups[found++] = states.groupOf(next);
    }

    /** What was worked out for a group: it differs only by which coils are fed of those that would move otherwise, and by the next scan. */
    private final class Known {
        private final long held;
        private final long heed;
        private long[] fed = new long[2];
        private int[] scanned = new int[2];
        private Own[] own = new Own[2];
        private int size;
        private final List<Own> all = new ArrayList<>(2);

        private Known(long first) {
            held = machine.held(first);
            heed = machine.heeding(first);
        }

        private Own own(long state, Conduction conduction) {
            long feeds = (conduction.holds() & held | conduction.pulls() & ~held) & heed;
            int scan = machine.nextScan(state, conduction);
            for (int i = 0; i < size; i++) {
                if (fed[i] == feeds && scanned[i] == scan) {
                    return own[i];
                }
            }
            if (size == own.length) {
                fed = Arrays.copyOf(fed, 2 * size);
                scanned = Arrays.copyOf(scanned, 2 * size);
                own = Arrays.copyOf(own, 2 * size);
            }
            fed[size] = feeds;
            scanned[size] = scan;
            own[size] = noted(worked(state, conduction));
            return own[size++];
        }

        /** Where it is not sure what a coil feels, what comes of it need not be what comes of it elsewhere. */
        private Own unsure(long state, Conduction conduction) {
            return noted(worked(state, conduction));
        }

        private Own noted(Own worked) {
            for (Own same : all) {
                if (same.isSame(worked)) {
                    return same;
                }
            }
            all.add(worked);
            return worked;
        }
    }

    /** The places in the same group that a hand leads to, a bit each. */
    long[] places(int group, int place) {
        if (byPlace[place] == null) {
            byPlace[place] = new long[states.words()];
            byHand(states.first(group) | place)
                    .filter(next -> states.groupOf(next) == group)
                    .forEach(next -> byPlace[place][states.place(next) >>> 6] |= 1L << states.place(next));
        }
        return byPlace[place];
    }

    /** The other groups that a hand leads to; the place in the group stays. */
    int[] groups(int group) {
        while (byGroup.size() <= group) {
            int next = byGroup.size();
            byGroup.add(byHand(states.first(next))
                    .mapToInt(states::groupOf)
                    .filter(to -> to != next)
                    .toArray());
        }
        return byGroup.get(group);
    }

    private LongStream byHand(long state) {
        LongStream.Builder next = LongStream.builder();
        machine.eachByHand(state, next::add);
        return next.build();
    }
}
