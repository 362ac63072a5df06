package parable.app.program;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.ArcType;
import javafx.scene.text.TextAlignment;
import parable.app.look.Ink;
import parable.app.look.Lettering;
import parable.bench.Moment;
import parable.desk.ProgramPlace;
import parable.draw.Box;
import parable.draw.ProgramDrawing;
import parable.parts.ControllerField;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramNetwork;
import parable.program.ProgramRun;
import parable.program.StructuredText;
import parable.program.Variable;

/**
 * Paints a program as it is at one instant: an instruction that lets pass is heavy and bridged, one that does not is thin and open; beside each
 * bit stands what it reads.
 */
final class ProgramPainter {

    private static final double THIN = 1.4;
    private static final double HEAVY = 3.4;

    private final GraphicsContext canvas;
    private final Ink ink;
    private final Lettering lettering;
    private final Program program;
    private final Moment moment;
    private final Optional<ProgramRun> run;
    private final long millis;

    /**
     * A painter.
     *
     * @param time that is looked at, in microseconds
     */
    ProgramPainter(GraphicsContext canvas, Ink ink, Program program, Moment moment, long time) {
        millis = Math.max(moment.time(), time) / 1000;
        this.canvas = canvas;
        this.ink = ink;
        lettering = new Lettering(canvas);
        this.program = program;
        this.moment = moment;
        run = moment.program();
    }

    /** Paints what lies between two heights of the drawing. */
    void paint(ProgramDrawing drawing, ProgramPlace selected, double top, double bottom) {
        drawing.strips().stream()
                .filter(strip -> strip.y() <= bottom && strip.y() + strip.height() >= top)
                .forEach(strip -> paint(strip, selected));
    }

    private void paint(ProgramDrawing.Strip strip, ProgramPlace selected) {
        boolean here = selected.network() == strip.number() - 1;
        boolean passes = run.filter(now -> now.passes(strip.network().logic())).isPresent();
        text(strip.number() + "", 18, strip.y() + 17, Lettering.Face.bold(13), TextAlignment.LEFT, ink.quiet());
        text(
                strip.network().comment(),
                strip.railX() - 8,
                strip.y() + 17,
                Lettering.Face.plain(13),
                TextAlignment.LEFT,
                ink.symbol());
        canvas.setStroke(ink.symbol());
        canvas.setLineWidth(2.6);
        canvas.strokeLine(strip.railX(), strip.baseline() - 16, strip.railX(), strip.y() + strip.height() - 32);
        strip.wires().forEach(this::paint);
        for (ProgramDrawing.Instruction instruction : strip.instructions()) {
            paint(instruction);
            if (here && selected.leaf() == instruction.leaf()) {
                frame(instruction.box());
            }
        }
        paintEnd(strip, passes);
        if (here && selected.leaf() == ProgramPlace.NETWORK) {
            frame(new Box(8, strip.y() - 2, strip.endX() + 178, strip.height() + 2));
        }
        text(
                StructuredText.statement(strip.network()),
                strip.railX() - 8,
                strip.statementY(),
                Lettering.Face.plain(12),
                TextAlignment.LEFT,
                ink.quiet());
    }

    /** A wire that is reached through instructions that all let pass is heavy. */
    private void paint(ProgramDrawing.PowerFlow wire) {
        boolean reached =
                run.filter(now -> wire.behind().stream().allMatch(now::passes)).isPresent();
        canvas.setStroke(reached ? ink.live() : ink.dead());
        canvas.setLineWidth(reached ? HEAVY : THIN);
        canvas.strokeLine(wire.fromX(), wire.fromY(), wire.toX(), wire.toY());
    }

    private void frame(Box box) {
        canvas.setStroke(ink.symbol());
        canvas.setLineWidth(2);
        canvas.setLineDashes(9, 4);
        canvas.strokeRoundRect(box.x(), box.y(), box.width(), box.height(), 8, 8);
        canvas.setLineDashes();
    }

    private void paint(ProgramDrawing.Instruction at) {
        boolean passes = run.filter(now -> now.passes(at.logic())).isPresent();
        Color colour = passes ? ink.live() : ink.symbol();
        canvas.setStroke(colour);
        canvas.setLineWidth(passes ? HEAVY : THIN);
        double x = at.x();
        double y = at.y();
        if (at.logic() instanceof Logic.Elapsed elapsed) {
            String words = elapsed.timer() + ".ET " + (elapsed.atLeast() ? ">= " : "< ") + time(elapsed.millis());
            canvas.strokeRect(x - 48, y - 13, 96, 26);
            text(words, x, y + 4, new Lettering.Face(passes, 11), TextAlignment.CENTER, colour);
            run.ifPresent(now -> text(
                    time(now.elapsed(elapsed.timer(), millis)),
                    x,
                    y - 19,
                    Lettering.Face.bold(12),
                    TextAlignment.CENTER,
                    ink.quiet()));
            return;
        }
        Logic.LadderContact contact = (Logic.LadderContact) at.logic();
        canvas.strokeLine(x - 11, y - 12, x - 11, y + 12);
        canvas.strokeLine(x + 11, y - 12, x + 11, y + 12);
        if (contact.closed()) {
            canvas.strokeLine(x - 7, y + 11, x + 7, y - 11);
        }
        if (passes) {
            canvas.strokeLine(x - 11, y, x + 11, y);
        }
        text(contact.operand().text(), x, y - 19, Lettering.Face.bold(13), TextAlignment.CENTER, ink.symbol());
        reads(contact.operand())
                .ifPresent(words ->
                        text(words, x + 17, y + 17, Lettering.Face.plain(11.5), TextAlignment.LEFT, ink.quiet()));
    }

    /** What a bit reads; of an input also what its terminal reads, if the program has not seen that yet. */
    private Optional<String> reads(Logic.Operand operand) {
        if (run.isEmpty()) {
            return Optional.empty();
        }
        boolean one = run.get().reads(operand);
        Optional<Integer> input = program.variable(operand.variable()).stream()
                .flatMapToInt(variable -> ControllerField.number(variable, Address.Area.INPUT).stream())
                .boxed()
                .findFirst();
        String late = input.filter(number -> moment.isInputLive(number) != one)
                .map(number -> " (now " + (one ? 0 : 1) + ")")
                .orElse("");
        return Optional.of(input.map(number -> "I" + number + " ").orElse("") + "= " + (one ? 1 : 0) + late);
    }

    private void paintEnd(ProgramDrawing.Strip strip, boolean passes) {
        double x = strip.endX();
        double y = strip.baseline();
        NetworkEnd end = strip.network().end();
        boolean one = run.filter(now -> now.isOne(end.variable())).isPresent();
        Color colour = one ? ink.live() : ink.symbol();
        canvas.setStroke(colour);
        canvas.setLineWidth(one ? HEAVY : THIN);
        if (end instanceof NetworkEnd.Coil coil) {
            canvas.strokeArc(x, y - 13, 20, 26, 100, 160, ArcType.OPEN);
            canvas.strokeArc(x + 14, y - 13, 20, 26, -80, 160, ArcType.OPEN);
            String inside =
                    switch (coil.kind()) {
                        case NORMAL -> "";
                        case NEGATED -> "/";
                        case SET -> "S";
                        case RESET -> "R";
                    };
            text(inside, x + 17, y + 5, Lettering.Face.bold(14), TextAlignment.CENTER, colour);
            text(end.variable(), x + 17, y - 19, Lettering.Face.bold(13), TextAlignment.CENTER, ink.symbol());
        } else {
            canvas.strokeRect(x, y - 14, 118, 46);
            String type = program.variable(end.variable())
                    .map(variable -> variable.type().toString())
                    .orElse("");
            text(type, x + 8, y + 4, Lettering.Face.bold(13), TextAlignment.LEFT, colour);
            text(end.variable(), x + 59, y - 19, Lettering.Face.bold(13), TextAlignment.CENTER, ink.symbol());
            text(
                    blockWords(strip.network()),
                    x + 8,
                    y + 22,
                    Lettering.Face.plain(11.5),
                    TextAlignment.LEFT,
                    ink.symbol());
        }
        double beside = end instanceof NetworkEnd.Coil ? x + 42 : x + 126;
        run.ifPresent(now -> text(
                "= " + (one ? 1 : 0), beside, y - 2, new Lettering.Face(one, 12), TextAlignment.LEFT, ink.quiet()));
        program.variable(end.variable())
                .flatMap(Variable::address)
                .ifPresent(address -> text(
                        address.toString(),
                        beside,
                        y + 14,
                        Lettering.Face.plain(11.5),
                        TextAlignment.LEFT,
                        ink.quiet()));
        if (passes != one
                && end instanceof NetworkEnd.Coil coil
                && coil.kind() == NetworkEnd.Coil.Kind.NORMAL
                && run.isPresent()) {
            text(
                    "written again below, or not yet scanned",
                    x,
                    y + 30,
                    Lettering.Face.plain(11),
                    TextAlignment.LEFT,
                    ink.quiet());
        }
    }

    private String blockWords(ProgramNetwork network) {
        if (network.end() instanceof NetworkEnd.Timer timer) {
            return run.map(now -> time(now.elapsed(timer.variable(), millis)) + " of ")
                            .orElse("")
                    + time(timer.millis());
        }
        if (network.end() instanceof NetworkEnd.Counter counter) {
            return run.map(now -> now.counted(counter.variable()) + " of ").orElse("") + counter.preset();
        }
        return "one scan long";
    }

    private static String time(long millis) {
        return millis < 1000 ? millis + " ms" : String.format(Locale.ROOT, "%.1f s", millis / 1000.0);
    }

    private void text(String words, double x, double y, Lettering.Face face, TextAlignment side, Color colour) {
        lettering.write(words, x, y, face, side, colour);
    }
}
