package parable.app.paper;

import javafx.print.PageLayout;
import javafx.print.PageOrientation;
import javafx.print.Paper;
import javafx.print.Printer;
import javafx.print.PrinterJob;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.stage.Window;
import parable.app.look.Ink;
import parable.app.sheet.Painter;
import parable.bench.Bench;
import parable.bench.Moment;
import parable.circuit.Practice;
import parable.draw.Drawing;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;

/** Prints the drawing of a sheet as it is at rest, over as many pages as it needs to be read. */
final class Printout {

    private static final double SMALLEST = 0.5;

    private Printout() {}

    /** Asks for a printer and prints; returns what became of it. */
    static String of(Assembly assembly, Practice practice, Window owner) {
        PrinterJob job = PrinterJob.createPrinterJob();
        if (job == null) {
            return "No printer is set up on this computer. Write a PDF and print that elsewhere.";
        }
        if (!job.showPrintDialog(owner)) {
            job.cancelJob();
            return "";
        }
        Printer printer = job.getPrinter();
        PageLayout page = printer.createPageLayout(
                practice == Practice.IEC ? Paper.A4 : Paper.NA_LETTER,
                PageOrientation.LANDSCAPE,
                Printer.MarginType.DEFAULT);
        return print(
                        job,
                        page,
                        SheetDrawing.of(assembly, practice),
                        Bench.of(assembly).moment())
                ? "Sent to " + printer.getName() + "."
                : "The printer " + printer.getName() + " did not take the sheet.";
    }

    private static boolean print(PrinterJob job, PageLayout page, Drawing drawing, Moment atRest) {
        double width = page.getPrintableWidth();
        double height = page.getPrintableHeight();
        double whole = Math.min(width / drawing.width(), height / drawing.height());
        double scale = Math.max(SMALLEST, Math.min(1, whole));
        boolean printed = true;
        for (double top = 0; top * scale < drawing.height() * scale - 1; top += height / scale) {
            for (double left = 0; left * scale < drawing.width() * scale - 1; left += width / scale) {
                Canvas canvas = new Canvas(width, height);
                GraphicsContext graphics = canvas.getGraphicsContext2D();
                graphics.scale(scale, scale);
                graphics.translate(-left, -top);
                new Painter(graphics, Ink.PRINT).paint(drawing, atRest);
                printed &= job.printPage(page, canvas);
            }
        }
        return job.endJob() && printed;
    }
}
