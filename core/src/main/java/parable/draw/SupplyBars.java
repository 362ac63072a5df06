package parable.draw;

import java.util.List;
import parable.parts.Part;

/** The bars of the supplies over the columns of the power diagram. */
record SupplyBars(PowerDiagram diagram, List<Mark> marks) {

    /** A supply is drawn as a bar over its columns; where other columns stand between them, as a bar for each part. */
    void draw(Part supply) {
        int begin = -1;
        boolean first = true;
        for (int lane = 0; lane <= diagram.rungs.size(); lane++) {
            boolean on = lane < diagram.rungs.size() && diagram.isOn(lane, supply);
            if (on && begin < 0) {
                begin = lane;
            } else if (!on && begin >= 0) {
                drawBar(supply, first, diagram.across(begin) - 16, diagram.across(lane - 1) + 16);
                begin = -1;
                first = false;
            }
        }
    }

    private void drawBar(Part supply, boolean first, double left, double right) {
        Box box = new Box(left, PowerDiagram.PITCH.start() - 2, right - left, 28);
        marks.add(new Mark.Symbol(
                new Subject.OfSupply(supply.tag()),
                "",
                box,
                List.of(Axis.RIGHT.lines(new Point(left, box.y()), 0, 0, box.width(), 0, box.width(), 28, 0, 28, 0, 0)),
                List.of(Axis.RIGHT.lines(new Point(left, box.y()), 0, 28, box.width(), 0)),
                List.of()));
        if (first) {
            String rated = String.join(" ", supply.device().settings().values());
            LaneDiagram.label(
                    marks,
                    new Point(left, box.y() - 8),
                    supply.tag() + "  " + rated,
                    Mark.TextRole.TAG,
                    Mark.Anchor.START);
        }
    }
}
