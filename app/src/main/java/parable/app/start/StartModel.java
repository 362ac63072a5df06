package parable.app.start;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.circuit.Conventions;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.ratings.JobTables;
import parable.starters.Choice;
import parable.starters.Lamp;
import parable.starters.MotorData;
import parable.starters.Power;
import parable.starters.Question;
import parable.starters.Starter;
import parable.starters.Supply;
import parable.starters.Wish;

/** What somebody wishes for, as far as they have said; what is not said is as the practice has it. */
public final class StartModel {

    private final Set<Lamp> lamps = EnumSet.of(Lamp.RUNNING);
    private final Map<Question, Choice> answers = new LinkedHashMap<>();
    private final ReadOnlyObjectWrapper<Wish> wish = new ReadOnlyObjectWrapper<>();
    private String name = "New starter";
    private String driven = "Motor";
    private String power;
    private int stations = 1;
    private final JobTables tables;
    private Conventions conventions;
    private Supply supply;

    /** A wish of which nothing has been said, for a job. */
    public StartModel(Job job) {
        conventions = job.conventions();
        tables = JobTables.of(job);
        Practice practice = conventions.practice();
        power = practice == Practice.IEC ? "2.2 kW" : "3 hp";
        supply = Supply.in(practice).get(0);
        settle();
    }

    /** The wish as it stands. */
    public ReadOnlyObjectProperty<Wish> wishProperty() {
        return wish.getReadOnlyProperty();
    }

    /** Answers a question. */
    public void answer(Question question, Choice answer) {
        answers.put(question, answer);
        settle();
    }

    /** Names the sheet. */
    public void name(String words) {
        name = words.isBlank() ? "New starter" : words.strip();
        settle();
    }

    /** Says what the motor drives. */
    public void driven(String words) {
        driven = words.isBlank() ? "Motor" : words.strip();
        settle();
    }

    /** Says the motor's power, such as {@code 4 kW} or {@code 5 hp}. */
    public void power(String words) {
        power = words.strip();
        settle();
    }

    /** Says by which regional practice it is drawn; its supply is then the commonest there. */
    public void practice(Practice practice) {
        conventions = conventions.in(practice);
        supply = Supply.in(practice).get(0);
        settle();
    }

    /** Says what feeds it. */
    public void supply(Supply feeding) {
        supply = feeding;
        settle();
    }

    /** What feeds it. */
    public Supply supply() {
        return supply;
    }

    /** Says whether its door has a lamp. */
    public void lamp(Lamp lamp, boolean wanted) {
        if (wanted) {
            lamps.add(lamp);
        } else {
            lamps.remove(lamp);
        }
        settle();
    }

    /** Says from how many places it is started and stopped, 1 to 4. */
    public void stations(int count) {
        stations = count;
        settle();
    }

    private void settle() {
        MotorData motor = MotorData.of(driven, "machine", supply, power, tables);
        List<String> places = IntStream.rangeClosed(1, stations)
                .mapToObj(i -> i == 1 ? "door" : "station " + i)
                .toList();
        Wish next = new Wish(name, conventions, tables, motor, places, lamps, Map.of());
        for (Choice answer : answers.values()) {
            next = next.with(answer);
        }
        wish.set(next);
    }

    /** Why no sheet can be proposed, empty if one can. */
    public Optional<String> trouble() {
        if (Power.kilowatts(power).isEmpty()) {
            return Optional.of("The motor's power: found '" + power + "', expected a power such as 4 kW or 5 hp.");
        }
        return wish.get().conflict();
    }

    /** Why the sheet will be as it is, a sentence for each answer that differs from the plain starter. */
    public List<String> reasons() {
        Stream<Choice> answered = Question.all().stream()
                .map(wish.get()::answer)
                .filter(answer ->
                        !answer.words().startsWith("No") && !answer.words().equals("One direction"));
        Stream<String> lit =
                lamps.stream().map(lamp -> "Lamp: " + lamp.words().toLowerCase(Locale.ROOT) + ". " + lamp.why());
        return Stream.concat(
                        Stream.concat(Stream.of(supply), answered).map(answer -> answer.words() + ". " + answer.why()),
                        lit)
                .toList();
    }

    /** The sheet that the library proposes; ask {@link #trouble()} before. */
    public Starter starter() {
        return Starter.of(wish.get());
    }
}
