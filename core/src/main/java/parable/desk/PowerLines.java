package parable.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;

/**
 * The lines of the power circuit that lead through one device side by side, with one pole in each. What is put beside that device is put into all of them, and what is taken away leaves
 * all: a contactor in two of three lines would let the motor run on one phase.
 *
 * @param sheet the sheet that they are on
 * @param at the pole in each line, in the order of the rungs
 */
public record PowerLines(Sheet sheet, List<Place> at) {

    /** Not modified: the list is copied. */
    public PowerLines {
        at = List.copyOf(at);
    }

    /** The lines through the device at a place; that place alone where a rung leads through the device twice. Empty if the place is not in the power circuit or nothing is passed through there. */
    public static Optional<PowerLines> at(Sheet sheet, Place place) {
        if (place.circuit() != Circuit.POWER || !isPassage(sheet, place)) {
            return Optional.empty();
        }
        String tag = passage(sheet, place).tag();
        List<Place> all = IntStream.range(0, sheet.power().size())
                .boxed()
                .flatMap(rung -> IntStream.range(
                                0, sheet.power().get(rung).items().size())
                        .mapToObj(item -> new Place(Circuit.POWER, rung, item)))
                .filter(one ->
                        isPassage(sheet, one) && passage(sheet, one).tag().equals(tag))
                .toList();
        boolean oneEach = all.stream().map(Place::rung).distinct().count() == all.size();
        return Optional.of(new PowerLines(sheet, oneEach ? all : List.of(place)));
    }

    private static boolean isPassage(Sheet sheet, Place place) {
        return place.rung() < sheet.power().size()
                && place.item() < sheet.power().get(place.rung()).items().size()
                && sheet.power().get(place.rung()).items().get(place.item()) instanceof RungItem.Passage;
    }

    private static RungItem.Passage passage(Sheet sheet, Place place) {
        return (RungItem.Passage) sheet.power().get(place.rung()).items().get(place.item());
    }

    /** How many they are. */
    public int count() {
        return at.size();
    }

    /** The pole of the device in one of them. */
    public RungItem.Passage pole(int line) {
        return passage(sheet, at.get(line));
    }

    /** What is on the rung of one of them, in its order. */
    public List<RungItem> items(int line) {
        return sheet.power().get(at.get(line).rung()).items();
    }

    /**
     * Puts a device into all lines, right beside the one they lead through.
     *
     * @param after whether on its load side
     * @param poles one for each line
     */
    Sheet inSeries(boolean after, List<RungItem.Passage> poles) {
        List<RungItem.NamedPoint> between = freePoints(1).get(0);
        List<Rung> rungs = new ArrayList<>(sheet.power());
        for (int line = 0; line < count(); line++) {
            Place place = at.get(line);
            List<RungItem> items = new ArrayList<>(items(line));
            items.addAll(after ? place.item() + 1 : place.item(), inOrder(after, between.get(line), poles.get(line)));
            rungs.set(place.rung(), new Rung(items, rungs.get(place.rung()).remark()));
        }
        return sheet.withRungs(Circuit.POWER, rungs);
    }

    /** The new point lies between the new pole and the one that was there. */
    private static List<RungItem> inOrder(boolean after, RungItem point, RungItem pole) {
        return after ? List.of(point, pole) : List.of(pole, point);
    }

    /**
     * Puts a device in parallel to a stretch that begins with the one they lead through, in all of them.
     *
     * @param last where the stretch ends in one of the lines, not before the device
     * @param poles one for each line
     * @throws EditException if the lines do not all lead through the device at its end
     */
    Sheet around(Place last, List<RungItem.Passage> poles) throws EditException {
        PowerLines ends = at(sheet, last).orElseThrow();
        if (!ends.rungs().equals(rungs())) {
            throw new EditException(
                    ends.pole(0).tag(), ends.count() + " lines through it", count() + ", as many as at the beginning");
        }
        PowerLines ended = ends.pointed(true);
        PowerLines begun = new PowerLines(ended.sheet, at).pointed(false);
        List<Rung> rungs = new ArrayList<>(begun.sheet.power());
        for (int line = 0; line < count(); line++) {
            List<RungItem> items = begun.items(line);
            int first = begun.at.get(line).item();
            int end = ended.at.get(line).item() + first - at.get(line).item();
            rungs.add(new Rung(List.of(items.get(first - 1), poles.get(line), items.get(end + 1)), ""));
        }
        return begun.sheet.withRungs(Circuit.POWER, rungs);
    }

    private List<Integer> rungs() {
        return at.stream().map(Place::rung).toList();
    }

    /**
     * The same lines on a sheet on which each has a point or a landing beside the device, where a branch can begin.
     *
     * @param after whether on its load side
     */
    PowerLines pointed(boolean after) {
        List<RungItem.NamedPoint> fresh = freePoints(1).get(0);
        List<Rung> rungs = new ArrayList<>(sheet.power());
        List<Place> moved = new ArrayList<>();
        for (int line = 0; line < count(); line++) {
            Place place = at.get(line);
            List<RungItem> items = new ArrayList<>(items(line));
            boolean gap = items.get(place.item() + (after ? 1 : -1)) instanceof RungItem.Passage;
            if (gap) {
                items.add(after ? place.item() + 1 : place.item(), fresh.get(line));
                rungs.set(place.rung(), new Rung(items, rungs.get(place.rung()).remark()));
            }
            moved.add(new Place(Circuit.POWER, place.rung(), place.item() + (gap && !after ? 1 : 0)));
        }
        return new PowerLines(sheet.withRungs(Circuit.POWER, rungs), moved);
    }

    /**
     * Puts another device in the place of the one they lead through.
     *
     * @param poles one for each line
     */
    Sheet exchanged(List<RungItem.Passage> poles) throws EditException {
        Sheet exchanged = sheet;
        for (int line = 0; line < count(); line++) {
            exchanged = Structure.exchanged(exchanged, at.get(line), poles.get(line));
        }
        return exchanged;
    }

    /**
     * Lets the device they lead through change places with the next one in all of them, or with the one before.
     *
     * @param next whether it goes towards the load
     * @throws EditException if there is none, or not the same one in all lines
     */
    Sheet shifted(boolean next) throws EditException {
        Sheet shifted = sheet;
        Set<String> neighbours = new HashSet<>();
        for (Place place : at) {
            int beside = Structure.neighbour(sheet, place, next);
            neighbours.add(passage(sheet, new Place(Circuit.POWER, place.rung(), beside))
                    .tag());
            shifted = Structure.shifted(shifted, place, next);
        }
        if (neighbours.size() > 1) {
            throw new EditException(
                    pole(0).tag(), String.join(", ", neighbours) + " beside it", "the same device in all lines");
        }
        return shifted;
    }

    /**
     * A stretch of one of the lines taken away from all lines that lead through what is on it.
     *
     * @param from where it begins
     * @param last the position of its end on the rung
     */
    static Sheet taken(Sheet sheet, Place from, int last) throws EditException {
        List<RungItem> gone = sheet.power().get(from.rung()).items().subList(from.item(), last + 1);
        Sheet taken = sheet;
        for (RungItem item : gone) {
            if (item instanceof RungItem.Passage passage) {
                taken = at(taken, placeOf(taken, passage)).orElseThrow().taken();
            }
        }
        return taken;
    }

    private static Place placeOf(Sheet sheet, RungItem.Passage passage) {
        return IntStream.range(0, sheet.power().size())
                .mapToObj(rung -> new Place(
                        Circuit.POWER, rung, sheet.power().get(rung).items().indexOf(passage)))
                .filter(place -> place.item() >= 0)
                .findFirst()
                .orElseThrow();
    }

    /** Takes the device they lead through out of all of them and closes the gaps. */
    private Sheet taken() throws EditException {
        List<Place> lastFirst = at.stream()
                .sorted(Comparator.comparingInt(Place::rung).reversed())
                .toList();
        Sheet taken = sheet;
        for (Place place : lastFirst) {
            taken = Structure.taken(taken, place);
        }
        return taken;
    }

    /**
     * Points that are not on the sheet yet, a row of them for each further stage: {@code 3L1}, {@code 3L2}, {@code 3L3} for three lines, plain numbers for others.
     *
     * @param stages how many rows
     */
    List<List<RungItem.NamedPoint>> freePoints(int stages) {
        Set<String> taken = new HashSet<>();
        sheet.rails().stream().map(Rail::number).forEach(taken::add);
        sheet.rails().stream().map(Rail::name).forEach(taken::add);
        sheet.rungs().flatMap(Rung::points).map(RungItem.NamedPoint::name).forEach(taken::add);
        List<List<RungItem.NamedPoint>> rows = new ArrayList<>();
        for (int number = 1; rows.size() < stages; number++) {
            List<String> names = names(number);
            if (names.stream().noneMatch(taken::contains)) {
                rows.add(names.stream()
                        .map(name -> new RungItem.NamedPoint(name, false))
                        .toList());
            }
        }
        return rows;
    }

    private List<String> names(int number) {
        boolean three = count() == 3;
        return IntStream.rangeClosed(1, count())
                .mapToObj(line -> three ? number + "L" + line : Integer.toString(2 + (number - 1) * count() + line))
                .toList();
    }
}
