package parable.app.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import parable.app.look.DirectScroll;
import parable.app.run.RunModel;
import parable.card.Pick;

/** The card of what is selected. It is worked out only while it is in the window. */
public final class CardView extends DirectScroll {

    private static final String NOTHING =
            "Nothing is selected. Click a symbol or a wire on the drawing, or go there by the arrow keys: here is then what it is,"
                    + " how it is and why, and how it is set.";

    private final RunModel run;
    private final CardModel model;
    private final CardDesk desk;
    private Runnable showNow = () -> {};

    /** The card of a running sheet. */
    public CardView(RunModel run, CardModel model, CardDesk desk) {
        super(new VBox());
        this.run = run;
        this.model = model;
        this.desk = desk;
        setId("card");
        getStyleClass().add("card");
        setFitToWidth(true);
        setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        model.pickProperty().addListener((any, before, now) -> make());
        model.askedProperty().addListener((any, before, now) -> showIfSeen());
        model.explainedProperty().addListener((any, before, now) -> showIfSeen());
        run.assemblyProperty().addListener((any, before, now) -> make());
        run.shownProperty().addListener((any, before, now) -> showIfSeen());
        sceneProperty().addListener((any, before, now) -> make());
    }

    /** Puts the keyboard to the first thing that can be set, or else to the first that can be done. */
    public void takeKeyboard() {
        layout();
        List<Node> all = new ArrayList<>(getContent().lookupAll(".card-field"));
        List<Node> settings = all.stream()
                .filter(node -> node.getId() != null && node.getId().startsWith("card-set-"))
                .toList();
        Stream.of(settings.stream(), all.stream(), getContent().lookupAll(".button").stream())
                .flatMap(nodes -> nodes)
                .filter(Node::isFocusTraversable)
                .findFirst()
                .ifPresent(Node::requestFocus);
    }

    private void showIfSeen() {
        if (getScene() != null) {
            showNow.run();
        }
    }

    private void make() {
        if (getScene() == null) {
            return;
        }
        Optional<Pick> pick = model.pickProperty()
                .get()
                .filter(there -> there.isOn(run.assembly().sheet()));
        double at = getVvalue();
        VBox content = pick.map(this::card).orElseGet(() -> {
            showNow = () -> {};
            return new VBox(CardParts.words(NOTHING));
        });
        content.getStyleClass().add("card-content");
        setContent(content);
        setVvalue(at);
    }

    private VBox card(Pick pick) {
        if (pick instanceof Pick.OfDevice device) {
            DeviceCard card = new DeviceCard(run, model, desk, device.tag());
            showNow = card::show;
            return card;
        }
        if (pick instanceof Pick.OfWire wire) {
            WireCard card = new WireCard(run, model, wire.number());
            showNow = card::show;
            return card;
        }
        showNow = () -> {};
        return new RungCard(run, desk, (Pick.OfRung) pick);
    }
}
