package parable.app.point;

import java.util.function.IntConsumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.Look;
import parable.circuit.Practice;

/** What can go at the place that was pointed at, as pictures with words; what is chosen is drawn meanwhile. */
final class Chooser extends VBox {

    private static final double WIDTH = 340;
    private static final double GAP = 16;
    private static final double ROW = 40;

    /** Of a row without a picture. */
    private static final double LOW_ROW = 28;

    private static final int MOST_ROWS = 7;

    private final PointModel model;
    private final Supplier<Practice> practice;
    private final Look look;
    private final Label where = new Label();
    private final TextField search = new TextField();
    private final ListView<ChooserLine> list = new ListView<>();
    private boolean pointed;

    /**
     * The chooser.
     *
     * @param along goes to the place so many further on along the rung
     */
    Chooser(PointModel model, Supplier<Practice> practice, Look look, IntConsumer along) {
        super(4);
        this.model = model;
        this.practice = practice;
        this.look = look;
        setId("chooser");
        getStyleClass().add("chooser");
        setManaged(false);
        setVisible(false);
        where.getStyleClass().add("card-heading");
        search.setId("chooser-search");
        search.setAccessibleText("What is to go there: a tag or a word");
        search.textProperty().bindBidirectional(model.typedProperty());
        search.addEventFilter(KeyEvent.KEY_PRESSED, event -> key(event, along));
        list.setId("chooser-list");
        list.setFixedCellSize(ROW);
        list.setFocusTraversable(false);
        list.setCellFactory(any -> new Row());
        list.setAccessibleText("What can go there");
        Label keys = new Label("Enter takes it, Esc leaves, \u2190 \u2192 another place");
        keys.getStyleClass().add("card-heading");
        getChildren().addAll(where, search, list, keys);
        where.textProperty().bind(model.headingProperty());
        model.offersProperty().addListener((any, before, now) -> {
            boolean pictures = now.stream().anyMatch(line -> line.offer().isPresent());
            list.setFixedCellSize(pictures ? ROW : LOW_ROW);
            list.getItems().setAll(now);
            mark();
        });
        model.chosenProperty().addListener((any, before, now) -> mark());
    }

    private void mark() {
        int at = model.chosenProperty().get();
        if (at < list.getItems().size()) {
            list.getSelectionModel().select(at);
            if (!pointed) {
                int seen = (int) (ROW * MOST_ROWS / list.getFixedCellSize());
                list.scrollTo(Math.max(0, at - seen + 2));
            }
        }
    }

    /** What the pointer is on is in view: the rows stay under it. */
    private void point(int row) {
        pointed = true;
        model.choose(row);
        pointed = false;
    }

    private void key(KeyEvent event, IntConsumer along) {
        boolean untyped = search.getText().isEmpty();
        switch (event.getCode()) {
            case ENTER -> model.take();
            case ESCAPE -> model.leave();
            case DOWN -> model.choose(model.chosenProperty().get() + 1);
            case UP -> model.choose(model.chosenProperty().get() - 1);
            case LEFT, RIGHT -> {
                if (!untyped) {
                    return;
                }
                along.accept(event.getCode() == KeyCode.RIGHT ? 1 : -1);
            }
            default -> {
                return;
            }
        }
        event.consume();
    }

    /**
     * Opens beside a point of its parent, within its bounds: to the right of the ladder if there is room, so that nothing of it is covered.
     *
     * @param ladder the right edge of the ladder
     */
    void open(double x, double y, double ladder, Region within) {
        double height = 92 + ROW * MOST_ROWS;
        if (ladder + 2 * GAP + WIDTH < within.getWidth()) {
            double top = Math.max(GAP, Math.min(y - height / 2, within.getHeight() - height - 40));
            show(ladder + GAP, top, height);
            return;
        }
        double left = Math.max(8, Math.min(x - WIDTH / 2, within.getWidth() - WIDTH - 20));
        boolean below = y + 70 + height < within.getHeight();
        double top = below ? y + 70 : Math.max(8, y - 90 - height);
        boolean covers = !below && top + height > y - 60;
        double aside = x + 60 + WIDTH < within.getWidth() ? x + 60 : Math.max(8, x - 60 - WIDTH);
        show(covers ? aside : left, covers ? Math.max(8, within.getHeight() - height - 40) : top, height);
    }

    private void show(double left, double top, double height) {
        resizeRelocate(Math.rint(left), Math.rint(top), WIDTH, height);
        setVisible(true);
        search.requestFocus();
    }

    void close() {
        setVisible(false);
    }

    /** A choice: its symbol, its tag and what it does. */
    private final class Row extends ListCell<ChooserLine> {

        Row() {
            addEventHandler(MouseEvent.MOUSE_ENTERED, event -> {
                if (!isEmpty()) {
                    point(getIndex());
                }
            });
            addEventHandler(MouseEvent.MOUSE_CLICKED, event -> {
                if (!isEmpty()) {
                    point(getIndex());
                    model.take();
                }
            });
        }

        @Override
        protected void updateItem(ChooserLine choice, boolean empty) {
            super.updateItem(choice, empty);
            if (empty || choice == null) {
                setGraphic(null);
                setAccessibleText("");
                return;
            }
            Label tag = new Label(choice.tag());
            tag.getStyleClass().add("offer-tag");
            tag.setMinWidth(Region.USE_PREF_SIZE);
            Label words = new Label(choice.words());
            if (!choice.fits()) {
                words.getStyleClass().add("offer-refused");
            }
            HBox line = new HBox(8, tag, words);
            choice.offer()
                    .ifPresentOrElse(
                            offer -> line.getChildren().add(0, new OfferPicture(offer, practice.get(), look.ink())),
                            () -> line.getChildren().remove(tag));
            line.setAlignment(Pos.CENTER_LEFT);
            setGraphic(line);
            setId("offer-" + getIndex());
            setAccessibleText(choice.tag() + ", " + words.getText());
        }
    }
}
