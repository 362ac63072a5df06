package parable.app.program;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Orientation;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import parable.app.look.Clip;
import parable.app.look.Look;
import parable.app.look.SharpCanvas;
import parable.app.look.WhileShown;
import parable.app.run.RunModel;
import parable.desk.ProgramPlace;
import parable.draw.ProgramDrawing;
import parable.program.Program;

/** The program of a sheet as a ladder, live at the instant that is looked at. A click selects a network or a contact in it. */
final class ProgramView extends Region {

    private static final double BAR = 12;
    private static final long REFRESH = 50_000;

    private final RunModel run;
    private final Look look;
    private final ProgramModel model;
    private final SharpCanvas canvas;
    private final ScrollBar down = new ScrollBar();
    private final ScrollBar across = new ScrollBar();
    private Optional<Program> drawn = Optional.empty();
    private ProgramDrawing drawing = ProgramDrawing.of(new Program("none", List.of(), List.of()));
    private double scale = 1;
    private long painted;

    ProgramView(RunModel run, Look look, ProgramModel model) {
        this.run = run;
        this.look = look;
        this.model = model;
        canvas = new SharpCanvas(look);
        setId("program");
        getStyleClass().add("sheet");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TEXT);
        across.setOrientation(Orientation.HORIZONTAL);
        down.setOrientation(Orientation.VERTICAL);
        Clip.atTheEdgesOf(this);
        getChildren().addAll(canvas, down, across);
        ChangeListener<Object> changed = (any, before, now) -> requestLayout();
        run.shownProperty().addListener(changed);
        run.assemblyProperty().addListener(changed);
        run.shownTimeProperty().addListener((any, before, now) -> {
            if (Math.abs(now.longValue() - painted) > REFRESH) {
                requestLayout();
            }
        });
        model.selectedProperty().addListener((any, before, now) -> {
            bringIntoView();
            setAccessibleText(model.words());
            requestLayout();
        });
        WhileShown.follow(this, this::requestLayout, look.ofDrawings());
        down.valueProperty().addListener(changed);
        across.valueProperty().addListener(changed);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::select);
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
        addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (key(event)) {
                event.consume();
            }
        });
    }

    private boolean key(KeyEvent event) {
        boolean moves = event.isShortcutDown();
        switch (event.getCode()) {
            case UP -> up(moves, -1);
            case DOWN -> up(moves, 1);
            case LEFT -> model.go(0, -1);
            case RIGHT -> model.go(0, 1);
            case DELETE -> model.take();
            default -> {
                return false;
            }
        }
        return true;
    }

    private void up(boolean moves, int sense) {
        if (moves) {
            model.move(sense);
        } else {
            model.go(sense, 0);
        }
    }

    private void select(MouseEvent event) {
        double x = (event.getX() + across.getValue()) / scale;
        double y = (event.getY() + down.getValue()) / scale;
        for (ProgramDrawing.Strip strip : drawing.strips()) {
            if (y >= strip.y() && y <= strip.y() + strip.height()) {
                int leaf = strip.instructions().stream()
                        .filter(one -> one.box().contains(x, y))
                        .mapToInt(ProgramDrawing.Instruction::leaf)
                        .findFirst()
                        .orElse(ProgramPlace.NETWORK);
                model.select(new ProgramPlace(strip.number() - 1, leaf));
            }
        }
        requestFocus();
    }

    private void scroll(ScrollEvent event) {
        if (event.isShortcutDown()) {
            look.enlarge((int) Math.signum(event.getDeltaY()));
        } else {
            down.setValue(Math.max(0, Math.min(down.getMax(), down.getValue() - event.getDeltaY())));
            across.setValue(Math.max(0, Math.min(across.getMax(), across.getValue() - event.getDeltaX())));
        }
    }

    private void bringIntoView() {
        drawing.strips().stream()
                .filter(strip ->
                        strip.number() - 1 == model.selectedProperty().get().network())
                .findFirst()
                .ifPresent(strip -> {
                    double top = strip.y() * scale;
                    double bottom = (strip.y() + strip.height()) * scale;
                    if (top < down.getValue()) {
                        down.setValue(Math.max(0, top - 8));
                    } else if (bottom > down.getValue() + getHeight()) {
                        down.setValue(Math.max(0, Math.min(down.getMax(), bottom - getHeight() + 8)));
                    }
                });
    }

    @Override
    protected void layoutChildren() {
        if (!drawn.equals(model.program())) {
            drawn = model.program();
            drawn.ifPresent(program -> drawing = ProgramDrawing.of(program));
        }
        double width = getWidth();
        double height = getHeight();
        scale = look.zoomProperty().get() * Math.max(0.8, Math.min(1, (width - BAR) / Math.max(1, drawing.width())));
        canvas.resize(width, height);
        place(down, drawing.height() * scale - height, height);
        place(across, drawing.width() * scale - width + BAR, width);
        down.resizeRelocate(width - BAR, 0, BAR, height);
        across.resizeRelocate(0, height - BAR, width - BAR, BAR);
        canvas.paint(this::paint);
    }

    private static void place(ScrollBar bar, double hidden, double shown) {
        bar.setVisible(hidden > 0);
        bar.setMax(Math.max(0, hidden));
        bar.setVisibleAmount(Math.max(1, shown * hidden / (shown + Math.max(1, hidden))));
        if (bar.getValue() > bar.getMax()) {
            bar.setValue(bar.getMax());
        }
    }

    private void paint(GraphicsContext graphics) {
        painted = run.shownTimeProperty().get();
        graphics.setFill(look.ink().paper());
        graphics.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        graphics.translate(-across.getValue(), -down.getValue());
        graphics.scale(scale, scale);
        drawn.ifPresent(program -> new ProgramPainter(
                        graphics, look.ink(), program, run.shownProperty().get(), painted)
                .paint(
                        drawing,
                        model.selectedProperty().get(),
                        down.getValue() / scale,
                        (down.getValue() + getHeight()) / scale));
    }
}
