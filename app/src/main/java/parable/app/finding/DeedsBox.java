package parable.app.finding;

import java.util.List;
import java.util.Locale;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.util.StringConverter;
import parable.testsheet.Situation;

/** What may have been done at the machine, to choose from. What is chosen can be read whole, however much it is. */
final class DeedsBox extends ComboBox<Situation> {

    /**
     * An empty one.
     *
     * @param id its id
     * @param asks what it asks, for those who do not see it
     */
    DeedsBox(String id, String asks) {
        setId(id);
        setAccessibleText(asks);
        setMaxWidth(Double.MAX_VALUE);
        setButtonCell(new Chosen());
        setConverter(new StringConverter<>() {
            @Override
            public String toString(Situation situation) {
                return situation == null ? "" : words(situation);
            }

            @Override
            public Situation fromString(String words) {
                return getValue();
            }
        });
    }

    /** Offers these; returns whether they are others than before. */
    boolean offer(List<Situation> situations) {
        boolean others = !situations.equals(getItems());
        if (others) {
            setItems(FXCollections.observableArrayList(situations));
        }
        return others;
    }

    private static String words(Situation situation) {
        String words = situation.words();
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** As high as its lines are in the width that it has. The box asks for its height as if it were as wide as it likes. */
    private static final class Chosen extends ListCell<Situation> {

        Chosen() {
            setWrapText(true);
            widthProperty().addListener((any, before, now) -> getParent().requestLayout());
        }

        @Override
        protected void updateItem(Situation situation, boolean empty) {
            super.updateItem(situation, empty);
            setText(empty ? "" : words(situation));
        }

        @Override
        protected double computePrefHeight(double width) {
            return super.computePrefHeight(width < 0 && getWidth() > 0 ? getWidth() : width);
        }
    }
}
