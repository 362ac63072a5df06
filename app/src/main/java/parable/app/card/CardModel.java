package parable.app.card;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.app.run.RunModel;
import parable.card.Pick;
import parable.circuit.Terminal;

/** What of a running sheet is selected. */
public final class CardModel {

    private final ReadOnlyObjectWrapper<Optional<Pick>> pick = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper asked = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<List<Terminal>> pointed = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyBooleanWrapper explained = new ReadOnlyBooleanWrapper();

    /** Nothing is selected yet. */
    public CardModel(RunModel run) {
        run.assemblyProperty().addListener((any, before, now) -> pick.get()
                .filter(there -> !there.isOn(now.sheet()))
                .ifPresent(gone -> pick.set(Optional.empty())));
        run.shownProperty().addListener((any, before, now) -> asked.set(false));
    }

    /** What is selected, empty if nothing is. */
    public ReadOnlyObjectProperty<Optional<Pick>> pickProperty() {
        return pick.getReadOnlyProperty();
    }

    /** Whether it was asked what would start or stop the device that is selected, at the instant that is looked at. */
    public ReadOnlyBooleanProperty askedProperty() {
        return asked.getReadOnlyProperty();
    }

    /** Selects something. */
    public void select(Pick wanted) {
        if (!pick.get().equals(Optional.of(wanted))) {
            asked.set(false);
            explained.set(false);
            pick.set(Optional.of(wanted));
        }
    }

    /** Asks what would start or stop the device that is selected. */
    public void ask() {
        asked.set(pick.get().isPresent());
    }

    /** Whether the way that holds the selected device in, or keeps it out, is shown on the drawing. */
    public ReadOnlyBooleanProperty explainedProperty() {
        return explained.getReadOnlyProperty();
    }

    /** Shows that way, or no longer. */
    public void explain(boolean shown) {
        explained.set(shown && device().isPresent());
    }

    /** The terminals of the contact in the sentence that is pointed at; none if none is. */
    public ReadOnlyObjectProperty<List<Terminal>> pointedProperty() {
        return pointed.getReadOnlyProperty();
    }

    /** Points at a contact of the sentence, by its terminals; at none any more if there are none. */
    void point(List<Terminal> ends) {
        pointed.set(ends);
    }

    /** The device that is selected, empty if none is. */
    public Optional<String> device() {
        return pick.get()
                .filter(Pick.OfDevice.class::isInstance)
                .map(Pick.OfDevice.class::cast)
                .map(Pick.OfDevice::tag);
    }
}
