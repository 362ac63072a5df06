package parable.app.door;

import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Bounds;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import parable.app.run.Handle;
import parable.bench.Moment;

/** The room of one device on a plate. What is in it is built when it is first seen. */
final class Tile extends StackPane {

    private static final double WIDTH = 124;
    private static final double HEIGHT = 74;

    /** What a device looks like on the door: itself, and beside it what is written. */
    abstract static class Face extends HBox {

        final VBox words = new VBox();

        /** Shows how it is at an instant. */
        abstract void show(Moment moment);
    }

    private final Optional<Handle> handle;
    private final Function<Tile, Face> build;
    private Optional<Face> face = Optional.empty();

    /**
     * An empty room.
     *
     * @param handle the grip on the device, empty if it cannot be operated
     * @param build makes what is in it
     */
    Tile(Optional<Handle> handle, Function<Tile, Face> build) {
        this.handle = handle;
        this.build = build;
        setPrefSize(WIDTH, HEIGHT);
    }

    Optional<Handle> handle() {
        return handle;
    }

    /** Whether anything stands in it yet. */
    boolean isBuilt() {
        return face.isPresent();
    }

    /** Whether it reaches into an area of the scene. */
    boolean isIn(Bounds area) {
        return localToScene(getLayoutBounds()).intersects(area);
    }

    /** Builds what is in it. */
    void build() {
        Face built = build.apply(this);
        face = Optional.of(built);
        setPrefSize(USE_COMPUTED_SIZE, USE_COMPUTED_SIZE);
        getChildren().setAll(built);
    }

    /** Shows how its device is at an instant, if anything stands in it. */
    void show(Moment moment) {
        face.ifPresent(built -> built.show(moment));
    }
}
