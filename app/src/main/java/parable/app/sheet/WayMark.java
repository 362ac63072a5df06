package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import parable.app.look.Ink;
import parable.app.look.Lettering;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Subject;
import parable.reason.Why;

/**
 * A contact on the way of a current, numbered as it is told; one that is open has a ring.
 *
 * @param box where it is drawn
 * @param number its place on the way, 1 for the first
 * @param open whether it keeps the current from flowing
 */
record WayMark(Box box, int number, boolean open) {

    /** The disc is below the middle of the contact, between its markings and above its name. */
    private static final double BELOW = 15;

    private static final double DISC = 7.5;
    private static final double LETTER = 11;

    /** Those of a way on a drawing; a contact that is not drawn is left out, and keeps its number. */
    static List<WayMark> of(List<Why.WayStep> way, Drawing drawing) {
        List<WayMark> marks = new ArrayList<>();
        for (int i = 0; i < way.size(); i++) {
            Why.WayStep step = way.get(i);
            int number = i + 1;
            Optional<Box> box = drawing.symbols()
                    .filter(symbol -> symbol.subject().equals(new Subject.OfContact(step.tag(), step.contact())))
                    .map(Mark.Symbol::box)
                    .findFirst();
            box.ifPresent(at -> marks.add(new WayMark(at, number, !step.conducts())));
        }
        return marks;
    }

    /** Paints it; an open one stands out, a closed one is only counted. */
    void paint(GraphicsContext graphics, Ink ink) {
        Color colour = open ? ink.shorted() : ink.back();
        if (open) {
            graphics.setLineDashes();
            graphics.setStroke(colour);
            graphics.setLineWidth(3);
            graphics.strokeRoundRect(box.x(), box.y(), box.width(), box.height(), 10, 10);
        }
        double x = box.x() + box.width() / 2;
        double y = box.y() + box.height() / 2 + BELOW;
        graphics.setFill(colour);
        graphics.fillOval(x - DISC, y - DISC, 2 * DISC, 2 * DISC);
        graphics.setTextBaseline(VPos.BASELINE);
        new Lettering(graphics)
                .write(
                        Integer.toString(number),
                        x,
                        y + 4,
                        Lettering.Face.bold(LETTER),
                        TextAlignment.CENTER,
                        ink.paper());
    }
}
