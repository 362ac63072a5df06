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

    private final Elements elements;
    private final Inputs inputs;
    private final Map<List<String>, List<Step>> known = new HashMap<>();
    private final Set<List<String>> underWay = new HashSet<>();
    private final Set<String> passed = new LinkedHashSet<>();
    private int depth;

    /** Something on the way. */
    sealed interface Step {

        /** An element that is gone through. */
        record Through(XmlNode element) implements Step {
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
        record Either(List<List<Step>> branches) implements Step {}
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

    /** The elements that were gone through so far. */
    Set<String> passed() {
        return passed;
    }

    /** The way from the left rail to elements from which something comes; nothing if that is the rail itself. */
    List<Step> to(XmlNode end, List<String> from) throws PlcOpenException {
        if (from.isEmpty()) {
            throw end.refused("a " + end.name() + " that comes from nowhere", "a connection from the left rail");
        }
        if (known.containsKey(from)) {
            return known.get(from);
        }
        if (!underWay.add(from) || ++depth > MOST_STEPS) {
            throw end.refused("a way that leads in a circle, or is too long", "ways from left to right");
        }
        List<List<Step>> ways = new ArrayList<>();
        for (String id : from) {
            ways.add(through(elements.of(id), id));
        }
        List<Step> way = ways.size() == 1 ? ways.get(0) : joined(end, ways);
        depth--;
        underWay.remove(from);
        known.put(from, way);
        return way;
    }

    private List<Step> through(XmlNode element, String id) throws PlcOpenException {
        if (element.name().equals("leftPowerRail")) {
            return List.of();
        }
        List<Step> way = new ArrayList<>(to(element, inputs.of(element)));
        way.add(new Step.Through(element));
        passed.add(id);
        if (way.size() > MOST_STEPS) {
            throw element.refused("more than " + MOST_STEPS + " elements in a row", "fewer");
        }
        return way;
    }

    /** Ways side by side, those together that begin alike. */
    private static List<Step> joined(XmlNode end, List<List<Step>> ways) throws PlcOpenException {
        Map<Step, List<List<Step>>> byFirst = new LinkedHashMap<>();
        for (List<Step> way : ways) {
            if (way.isEmpty()) {
                throw end.refused("a branch without any contact", "a contact in each branch");
            }
            byFirst.computeIfAbsent(way.get(0), any -> new ArrayList<>()).add(way.subList(1, way.size()));
        }
        List<List<Step>> branches = new ArrayList<>();
        for (Map.Entry<Step, List<List<Step>>> group : byFirst.entrySet()) {
            List<Step> branch = new ArrayList<>(List.of(group.getKey()));
            branch.addAll(group.getValue().size() == 1 ? group.getValue().get(0) : joined(end, group.getValue()));
            branches.add(branch);
        }
        return branches.size() == 1 ? branches.get(0) : List.of(new Step.Either(branches));
    }
}
