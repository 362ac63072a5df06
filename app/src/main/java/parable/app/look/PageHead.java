package parable.app.look;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** The head of a page that stands in the place of the drawing: what it is, and the way back to the sheet. */
public final class PageHead extends HBox {

    private final Button back = new Button("Back to the sheet  Esc");

    /**
     * A head.
     *
     * @param words what the page is
     * @param id the id of the button that leads back
     * @param done called when one is through with the page
     */
    public PageHead(String words, String id, Runnable done) {
        super(24);
        Label heading = new Label(words);
        heading.getStyleClass().add("start-heading");
        back.setId(id);
        back.setOnAction(event -> done.run());
        setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(heading, back);
    }

    /** Escape and Enter lead back, wherever the focus is; not for a page with fields, which need them. */
    public PageHead byKeys() {
        back.setCancelButton(true);
        back.setDefaultButton(true);
        return this;
    }

    /** Puts the focus on the button. */
    public void focus() {
        back.requestFocus();
    }
}
