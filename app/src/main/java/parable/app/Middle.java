package parable.app;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import parable.app.find.FindSlip;
import parable.app.tour.TourSlip;

/** The middle of the window: a page, and the slips over it. */
final class Middle extends StackPane {

    private final FindSlip find;
    private final TourSlip tour;
    private final MessageSlip message;

    /** With no page yet. */
    Middle(FindSlip find, TourSlip tour, MessageSlip message) {
        this.find = find;
        this.tour = tour;
        this.message = message;
        place(message, Pos.BOTTOM_CENTER, new Insets(0, 24, 60, 24));
        place(tour, Pos.TOP_RIGHT, new Insets(64, 28, 0, 0));
        place(find, Pos.TOP_RIGHT, new Insets(8, 28, 0, 0));
    }

    private static void place(Node slip, Pos where, Insets margin) {
        setAlignment(slip, where);
        setMargin(slip, margin);
    }

    /** Shows the page of a step. */
    void show(Node page) {
        getChildren().setAll(page, find, tour, message);
    }

    /** Shows a page to be read or answered before one goes on. */
    void interrupt(Node page) {
        getChildren().setAll(page, message);
    }
}
