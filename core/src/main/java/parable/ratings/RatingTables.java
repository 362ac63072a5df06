package parable.ratings;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import parable.circuit.Practice;
import parable.circuit.TableCopy;

/** The tables of a practice, from the file that ships with it, or with others in the place of some. */
public final class RatingTables {

    private static final Map<Practice, RatingTables> SHIPPED = new EnumMap<>(Practice.class);

    static {
        for (Practice practice : Practice.values()) {
            SHIPPED.put(practice, shipped(practice));
        }
    }

    private final Practice practice;
    private final Map<String, RatingTable> tables;

    private RatingTables(Practice practice, Map<String, RatingTable> tables) {
        this.practice = practice;
        this.tables = tables;
    }

    /** Those that ship. */
    public static RatingTables of(Practice practice) {
        return SHIPPED.get(practice);
    }

    private static RatingTables shipped(Practice practice) {
        String file =
                switch (practice) {
                    case IEC -> "iec.txt";
                    case NORTH_AMERICAN -> "north-american.txt";
                };
        try (InputStream in = RatingTables.class.getResourceAsStream(file)) {
            Map<String, RatingTable> tables = new LinkedHashMap<>();
            for (List<String> one : apart(new String(in.readAllBytes(), StandardCharsets.UTF_8))) {
                RatingTable table = RatingTable.read(one, false);
                tables.put(table.name(), table);
            }
            return new RatingTables(practice, tables);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("the tables " + file + " could not be read", unreadable);
        } catch (RatingFormatException senseless) {
            throw new IllegalStateException("the tables " + file + " make no sense", senseless);
        }
    }

    private static List<List<String>> apart(String text) {
        List<List<String>> parts = new ArrayList<>();
        for (String line : text.lines().filter(line -> !line.startsWith("#")).toList()) {
            if (line.startsWith("=")) {
                parts.add(new ArrayList<>());
            }
            if (!line.isBlank()) {
                parts.get(parts.size() - 1).add(line);
            }
        }
        return parts;
    }

    /**
     * These with the tables that a job keeps in their place.
     *
     * @throws RatingFormatException if one makes no sense, is of a name that there is not, or has not the columns that are needed
     */
    public RatingTables with(List<TableCopy> copies) throws RatingFormatException {
        Map<String, RatingTable> changed = new LinkedHashMap<>(tables);
        for (TableCopy copy : copies) {
            RatingTable table = RatingTable.read(copy.lines(), true);
            RatingTable before = tables.get(table.name());
            if (before == null || !copy.name().equals(table.name())) {
                throw new RatingFormatException(
                        "table",
                        table.name(),
                        "one of " + String.join(", ", tables.keySet()) + ", named as its copy is");
            }
            if (!table.columns().equals(before.columns())) {
                throw new RatingFormatException(
                        table.name() + ", columns",
                        String.join(" | ", table.columns()),
                        String.join(" | ", before.columns()));
            }
            changed.put(
                    table.name(),
                    new RatingTable(
                            table.name(),
                            table.title(),
                            table.source(),
                            table.columns(),
                            table.lines(),
                            !table.lines().equals(before.lines())));
        }
        return new RatingTables(practice, changed);
    }

    /** The practice that they are of. */
    public Practice practice() {
        return practice;
    }

    /** A table that there is in the practice. */
    public RatingTable table(String name) {
        if (!tables.containsKey(name)) {
            throw new IllegalArgumentException("tables of " + practice.words() + ": found " + name
                    + ", expected one of " + tables.keySet().stream().collect(Collectors.joining(", ")));
        }
        return tables.get(name);
    }

    /** All of them, in the order of the file. */
    public List<RatingTable> all() {
        return List.copyOf(tables.values());
    }
}
