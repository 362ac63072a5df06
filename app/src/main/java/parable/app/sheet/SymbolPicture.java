package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import parable.app.look.Ink;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.network.NodeState;

/** A small drawing by itself, at rest and without voltage. */
public final class SymbolPicture {

    private SymbolPicture() {}

    /** Paints a drawing of wires and symbols. */
    public static void paint(GraphicsContext graphics, Drawing drawing, double scale, Ink ink) {
        List<Seen> seen = new ArrayList<>();
        for (Mark mark : drawing.marks()) {
            if (mark instanceof Mark.WireLine wire) {
                seen.add(new Seen.OnWire(wire, NodeState.DEAD));
            } else if (mark instanceof Mark.Symbol symbol) {
                seen.add(new Seen.OfSymbol(symbol, false, NodeState.DEAD, false));
            }
        }
        graphics.save();
        graphics.scale(scale, scale);
        new Painter(graphics, ink).paint(seen);
        graphics.restore();
    }
}
