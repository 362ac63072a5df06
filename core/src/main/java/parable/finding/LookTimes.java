package parable.finding;

import java.util.List;
import java.util.Optional;
import parable.bench.Action;
import parable.circuit.Places;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.Situation;
import parable.testsheet.WiresAt;
import parable.wiring.PanelLayout;

/** How many minutes looks take: what is done and read, the way there, and switching off and on. All by the table {@code look-times}. */
final class LookTimes {

    private final Assembly assembly;
    private final RatingTables tables;

    LookTimes(Assembly assembly, RatingTables tables) {
        this.assembly = assembly;
        this.tables = tables;
    }

    /** The minutes of a look after another situation, the panel at rest for the first. */
    double minutes(PanelLook look, Situation before) {
        double dead = look.situation().phase() == before.phase() ? 0 : minutes("dead");
        boolean waits = look.situation().leftRunning() && !look.situation().equals(before);
        return (waits ? Situation.LEFT_FOR_MINUTES : 0)
                + minutes("think")
                + dead
                + minutes("operate") * deeds(before, look.situation())
                + reading(look.observation())
                + way(look.observation());
    }

    /** From one situation one goes on to another, or begins anew. */
    private static int deeds(Situation before, Situation wanted) {
        List<Action> done = before.hands();
        List<Action> all = wanted.hands();
        boolean goesOn = before.phase() == wanted.phase()
                && !before.leftRunning()
                && done.size() <= all.size()
                && all.subList(0, done.size()).equals(done);
        return goesOn ? all.size() - done.size() : done.size() + all.size();
    }

    private double reading(Observation observation) {
        return observation instanceof WiresAt wires
                ? minutes("wires") + wires.tags().size() * minutes("wires of one more")
                : minutes(kind(observation));
    }

    private static String kind(Observation observation) {
        if (observation instanceof Observation.Volts) {
            return "volts";
        }
        if (observation instanceof Observation.Amperes) {
            return "clamp";
        }
        if (observation instanceof Observation.Dial) {
            return "dial";
        }
        if (observation instanceof Observation.Wires) {
            return "wires";
        }
        return observation instanceof Glimpse ? "look" : "ohms";
    }

    private double way(Observation observation) {
        if (observation instanceof Glimpse sight) {
            return sight.tags().stream().map(this::place).anyMatch(Places.BACK_PLATE::equals)
                    ? minutes(Places.BACK_PLATE)
                    : 0;
        }
        if (observation instanceof WiresAt wires) {
            return way(wires.place());
        }
        return probed(observation).map(this::place).map(this::way).orElse(minutes(Places.BACK_PLATE));
    }

    private double way(String place) {
        return minutes(place.equals(Places.BACK_PLATE) || place.equals(Places.DOOR) ? place : "field");
    }

    /** The device at which something is read. */
    private static Optional<String> probed(Observation observation) {
        if (observation instanceof Observation.Volts volts) {
            return tag(volts.red());
        }
        if (observation instanceof Observation.Ohms ohms) {
            return tag(ohms.red());
        }
        if (observation instanceof Observation.Amperes clamp) {
            return Optional.of(clamp.at().tag());
        }
        if (observation instanceof Observation.Dial dial) {
            return Optional.of(dial.tag());
        }
        return observation instanceof Observation.Wires wires ? Optional.of(wires.tag()) : Optional.empty();
    }

    private static Optional<String> tag(String probe) {
        return ProbePoint.read(probe).terminal().map(Terminal::tag);
    }

    private String place(String tag) {
        return assembly.part(tag).map(PanelLayout::placeOf).orElse(Places.BACK_PLATE);
    }

    /** The minutes of something that is done, by its row; 1 where the table has none. */
    double minutes(String what) {
        return tables.table("look-times")
                .line(what)
                .flatMap(line -> line.number("minutes").isPresent()
                        ? Optional.of(line.number("minutes").getAsDouble())
                        : Optional.empty())
                .orElse(1.0);
    }
}
