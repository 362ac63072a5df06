package parable.app.meter;

import java.util.EnumMap;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import parable.app.run.RunModel;
import parable.bench.Meter;

/** Where the probes are and what the meter is set to; it reads at the instant that is looked at. */
public final class MeterModel {

    private final RunModel run;
    private final ObjectProperty<Meter.Range> range = new SimpleObjectProperty<>(Meter.Range.VOLTS_AC);
    private final Map<Probe, StringProperty> places = new EnumMap<>(Probe.class);
    private final ObjectProperty<Probe> inHand = new SimpleObjectProperty<>();

    /** A meter on a running sheet with both probes put away. */
    public MeterModel(RunModel run) {
        this.run = run;
        for (Probe probe : Probe.values()) {
            places.put(probe, new SimpleStringProperty(""));
        }
    }

    /** What the meter is set to. */
    public ObjectProperty<Meter.Range> rangeProperty() {
        return range;
    }

    /** The wire number or terminal that a probe is on, empty if it is put away. */
    public StringProperty placeProperty(Probe probe) {
        return places.get(probe);
    }

    /** The probe that the next click on the drawing puts down; holds nothing if none is in hand. */
    public ObjectProperty<Probe> inHandProperty() {
        return inHand;
    }

    /** What the meter shows. */
    public Meter.Display reading() {
        return run.momentAt(run.shownTimeProperty().get())
                .meter()
                .read(
                        range.get(),
                        places.get(Probe.RED).get().strip(),
                        places.get(Probe.BLACK).get().strip());
    }
}
