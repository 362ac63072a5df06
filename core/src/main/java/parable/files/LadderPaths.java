package parable.files;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Makes series and parallel branches of the connections of a ladder diagram, which only say from where each element comes. Branches that begin
 * with the same elements have these before they part.
 */
final class LadderPaths {

    private static final int MOST_STEPS = 2_000;

    /** The most elements that branches side by side may have before what they begin with is put in front of them. */
    private static final int MOST_SIDE_BY_SIDE = 100_000;

    private final Elements elements;
    private final Inputs inputs;
    private final Map<List<String>, List<PathStep>> known = new HashMap<>();
    private final Set<List<String>> underWay = new HashSet<>();
    private final Set<String> passed = new LinkedHashSet<>();
    private int depth;

    /** Something on the way. */
    sealed interface PathStep {

        /** An element on the way. */
        record Through(XmlNode element) implements PathStep {
            /** The same only if it is the same element. */
            @Override
            public boolean equals(Object other) {
                return other instanceof Through that && element == that.element;
            }

            @Override
            public int hashCode() {
                return System.identityHashCode(element);
            }
        }

        /** One of several branches. */
        record Either(List<List<PathStep>> branches, int elements) implements PathStep {}

        /** The elements in it, each as often as it is written. */
        private int elements() {
            return this instanceof Either either ? either.elements : 1;
        }
    }

    private static int elements(List<PathStep> way) {
        return way.stream().mapToInt(PathStep::elements).sum();
    }

    /** Branches that cross have no end when they are written one by one: each crossing doubles what there is. */
    private static void limit(XmlNode at, long elements, int most) throws PlcOpenException {
        if (elements > most) {
            throw at.refused(
                    "branches that cross so often that they come to more than " + most + " elements",
                    "series and parallels of fewer");
        }
    }

    /** Finds an element by its number. */
    interface Elements {
        XmlNode of(String id) throws PlcOpenException;
    }

    /** Finds from where an element comes. */
    interface Inputs {
        List<String> of(XmlNode element) throws PlcOpenException;
    }

    LadderPaths(Elements elements, Inputs inputs) {
        this.elements = elements;
        this.inputs = inputs;
    }

    /** The elements passed so far. */
    Set<String> passed() {
        return passed;
    }

    /** The way from the left rail to elements from which something comes; nothing if that is the rail itself. */
    List<PathStep> to(XmlNode end, List<String> from) throws PlcOpenException {
        if (from.isEmpty()) {
            throw end.refused("a " + end.name() + " that comes from nowhere", "a connection from the left rail");
        }
        if (known.containsKey(from)) {
            return known.get(from);
        }
        if (!underWay.add(from) || ++depth > MOST_STEPS) {
            throw end.refused("a way that leads in a circle, or is too long", "ways from left to right");
        }
        List<List<PathStep>> ways = new ArrayList<>();
        long sum = 0;
        for (String id : from) {
            List<PathStep> one = through(elements.of(id), id);
            ways.add(one);
            sum += elements(one);
            limit(end, sum, MOST_SIDE_BY_SIDE);
        }
        List<PathStep> way = ways.size() == 1 ? ways.get(0) : joined(end, ways);
        limit(end, elements(way), MOST_STEPS);
        depth--;
        underWay.remove(from);
        known.put(from, way);
        return way;
    }

    private List<PathStep> through(XmlNode element, String id) throws PlcOpenException {
        if (element.name().equals("leftPowerRail")) {
            return List.of();
        }
        List<PathStep> way = new ArrayList<>(to(element, inputs.of(element)));
        way.add(new PathStep.Through(element));
        passed.add(id);
        if (way.size() > MOST_STEPS) {
            throw element.refused("more than " + MOST_STEPS + " elements in a row", "fewer");
        }
        return way;
    }

    /** Ways side by side, those together that begin alike. */
    private static List<PathStep> joined(XmlNode end, List<List<PathStep>> ways) throws PlcOpenException {
        Map<PathStep, List<List<PathStep>>> byFirst = new LinkedHashMap<>();
        for (List<PathStep> way : ways) {
            if (way.isEmpty()) {
                throw end.refused("a branch without any contact", "a contact in each branch");
            }
            byFirst.computeIfAbsent(way.get(0), any -> new ArrayList<>()).add(way.subList(1, way.size()));
        }
        List<List<PathStep>> branches = new ArrayList<>();
        for (Map.Entry<PathStep, List<List<PathStep>>> group : byFirst.entrySet()) {
            List<PathStep> branch = new ArrayList<>(List.of(group.getKey()));
            branch.addAll(group.getValue().size() == 1 ? group.getValue().get(0) : joined(end, group.getValue()));
            branches.add(branch);
        }
        return branches.size() == 1
                ? branches.get(0)
                : List.of(new PathStep.Either(
                        branches,
                        branches.stream().mapToInt(LadderPaths::elements).sum()));
    }
}
