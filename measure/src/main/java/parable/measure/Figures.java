package parable.measure;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The figures of what a source declares. */
final class Figures {

    private final List<Declared> declared;

    Figures(List<Declared> declared) {
        this.declared = List.copyOf(declared);
    }

    private <T extends Declared> Stream<T> all(Class<T> kind) {
        return declared.stream().filter(kind::isInstance).map(kind::cast);
    }

    /** How many methods and constructors there are. */
    int bodies() {
        return linesOfBodies().length;
    }

    private int[] linesOfBodies() {
        return IntStream.concat(
                        all(Declared.Method.class).mapToInt(Declared.Method::lines),
                        all(Declared.Constructor.class).mapToInt(Declared.Constructor::lines))
                .sorted()
                .toArray();
    }

    /**
     * The number of lines that no more than a share of the methods and constructors exceeds.
     *
     * @param percent how many of a hundred are as short or shorter, more than 0 and at most 100
     * @throws IllegalStateException if there are none
     */
    int linesOf(int percent) {
        int[] lines = linesOfBodies();
        if (lines.length == 0) {
            throw new IllegalStateException("there are no methods");
        }
        return lines[Math.max(0, (lines.length * percent + 99) / 100 - 1)];
    }

    /** The methods of more lines than these, the longest first. */
    List<Declared.Method> methodsAbove(int lines) {
        return longest(Declared.Method.class, Declared.Method::lines, lines);
    }

    /** The types of more lines than these, the longest first; a type with others inside counts their lines too. */
    List<Declared.Type> typesAbove(int lines) {
        return longest(Declared.Type.class, Declared.Type::lines, lines);
    }

    /** The constructors of more lines than these in a package and those below it, the longest first. */
    List<Declared.Constructor> constructorsAbove(int lines, String inPackage) {
        return longest(Declared.Constructor.class, Declared.Constructor::lines, lines).stream()
                .filter(one -> (one.inPackage() + ".").startsWith(inPackage + "."))
                .toList();
    }

    private <T extends Declared> List<T> longest(Class<T> kind, ToIntFunction<T> size, int most) {
        return all(kind)
                .filter(one -> size.applyAsInt(one) > most)
                .sorted(Comparator.comparingInt(size).reversed())
                .toList();
    }

    /** What takes more parameters than these: methods, and constructors but those of records. */
    List<String> takingMoreThan(int parameters) {
        Stream<String> methods = all(Declared.Method.class)
                .filter(method -> method.parameters() > parameters)
                .map(method -> method.type() + "." + method.name() + " takes " + method.parameters());
        Stream<String> constructors = all(Declared.Constructor.class)
                .filter(one -> one.parameters() > parameters && !one.ofValue())
                .map(one -> "new " + one.type() + " takes " + one.parameters());
        return Stream.concat(methods, constructors).sorted().toList();
    }

    /**
     * The simple names that a type at the top level shares with a type of another package, each with the packages that have it. Private types do not
     * count; nor do two nested types, for each is said with the type around it, as {@code Fault.Kind}.
     */
    SortedMap<String, SortedSet<String>> namedTwice() {
        SortedMap<String, SortedSet<String>> packages = new TreeMap<>();
        SortedSet<String> alone = new TreeSet<>();
        all(Declared.Type.class).filter(Declared.Type::known).forEach(type -> {
            packages.computeIfAbsent(type.simpleName(), any -> new TreeSet<>()).add(type.inPackage());
            if (type.type().equals(type.simpleName())) {
                alone.add(type.simpleName());
            }
        });
        packages.keySet().retainAll(alone);
        packages.values().removeIf(of -> of.size() < 2);
        return packages;
    }

    /** The packages that lead back to themselves by their imports, each circle as the packages that lead to each other. */
    List<SortedSet<String>> circles() {
        Map<String, SortedSet<String>> imports = all(Declared.Import.class)
                .collect(Collectors.groupingBy(
                        Declared::inPackage,
                        TreeMap::new,
                        Collectors.mapping(Declared.Import::imports, Collectors.toCollection(TreeSet::new))));
        SortedMap<String, SortedSet<String>> reached = new TreeMap<>();
        imports.keySet().forEach(from -> reached.put(from, reachedFrom(from, imports)));
        return reached.keySet().stream()
                .filter(one -> reached.get(one).contains(one))
                .map(one -> together(one, reached))
                .distinct()
                .toList();
    }

    private static SortedSet<String> reachedFrom(String from, Map<String, SortedSet<String>> imports) {
        SortedSet<String> reached = new TreeSet<>();
        SortedSet<String> waiting = new TreeSet<>(imports.get(from));
        waiting.remove(from);
        while (!waiting.isEmpty()) {
            String next = waiting.first();
            waiting.remove(next);
            if (reached.add(next)) {
                waiting.addAll(imports.getOrDefault(next, new TreeSet<>()));
            }
        }
        return reached;
    }

    private static SortedSet<String> together(String one, Map<String, SortedSet<String>> reached) {
        return reached.get(one).stream()
                .filter(other -> reached.getOrDefault(other, new TreeSet<>()).contains(one))
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
