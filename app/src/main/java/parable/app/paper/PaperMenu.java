package parable.app.paper;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.app.job.Latest;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.JobFile;
import parable.files.JobPack;
import parable.files.LogbookCsv;
import parable.files.LogbookPdf;
import parable.files.PdfFile;
import parable.files.PlainFile;
import parable.files.PlcOpenException;
import parable.files.PlcOpenXml;
import parable.files.SheetExport;
import parable.files.WholeFile;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;
import parable.ratings.JobTables;

/** Drawings, programs and lists as files, drawings on the printer too. */
public final class PaperMenu extends MenuButton {

    private final Latest packing = new Latest("job pack");
    private final JobModel jobs;
    private final FilePrompt prompt;
    private final Window window;

    /** What the menu asks of the window. */
    public interface Window {
        /** The name of the sheet that is shown. */
        String shown();

        /** Tells what became of something. */
        void tell(String words);

        /** The logbook of the job. */
        Logbook logbook();

        /** Shows the page of the title block. */
        void showTitle();
    }

    /** The menu. */
    public PaperMenu(JobModel jobs, FilePrompt prompt, Window window) {
        super("Paper");
        this.jobs = jobs;
        this.prompt = prompt;
        this.window = window;
        setId("paper-menu");
        getItems().addAll(ofJob());
        getItems().add(new SeparatorMenuItem());
        getItems()
                .addAll(
                        export("paper-plcopen", SheetExport.PLCOPEN),
                        export("paper-st", SheetExport.ST),
                        export("paper-io", SheetExport.IO_CSV),
                        new SeparatorMenuItem(),
                        export("paper-wires", SheetExport.WIRES_CSV),
                        export("paper-terminals", SheetExport.TERMINALS_CSV),
                        export("paper-cables", SheetExport.CABLES_CSV),
                        export("paper-parts", SheetExport.PARTS_CSV),
                        export("paper-sizing", SheetExport.SIZING_CSV),
                        export("paper-motors", SheetExport.MOTORS_CSV),
                        export("paper-tests", SheetExport.TESTS_CSV),
                        item("paper-record", "Its record as CSV\u2026", this::recordTable),
                        item("paper-record-pdf", "Its record as PDF\u2026", this::record),
                        export("paper-labels", SheetExport.LABELS_CSV),
                        new SeparatorMenuItem(),
                        item("paper-import", "Import a program\u2026", this::importProgram));
    }

    /** Drawings of the job and of the sheet that is shown. */
    private List<MenuItem> ofJob() {
        MenuItem print = item("paper-print", "Print this drawing\u2026", this::print);
        print.setAccelerator(new KeyCodeCombination(KeyCode.P, KeyCombination.SHORTCUT_DOWN));
        MenuItem all = item("paper-pdf", "All drawings as PDF\u2026", () -> pdf(job().sheets(), job().name()));
        all.setAccelerator(new KeyCodeCombination(KeyCode.E, KeyCombination.SHORTCUT_DOWN));
        return List.of(
                item("paper-pack", "Job pack as PDF\u2026", this::pack),
                all,
                item("paper-sheet-pdf", "This drawing as PDF\u2026", () -> pdf(List.of(sheet()), sheet().name())),
                export("paper-svg", SheetExport.SVG),
                export("paper-places", SheetExport.PLACES_SVG),
                print,
                item("paper-title", "Title block of all pages\u2026", window::showTitle));
    }

    private MenuItem export(String id, SheetExport export) {
        return item(id, export.words() + "\u2026", () -> write(export));
    }

    private Job job() {
        return jobs.jobProperty().get();
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    private Sheet sheet() {
        return job().sheet(window.shown()).orElseThrow();
    }

    private Assembly assembly() {
        try {
            return Assembly.of(sheet(), JobTables.of(job()));
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void pdf(List<Sheet> sheets, String name) {
        write(name, ".pdf", () -> PdfFile.of(job(), sheets));
    }

    /** All of the job on paper. It takes some seconds, beside the window. */
    private void pack() {
        Job whole = job();
        String suggested = whole.name().toLowerCase(Locale.ROOT).replace(' ', '-') + "-pack.pdf";
        prompt.toWrite("Write to", suggested).ifPresent(to -> {
            window.tell("The job pack is being made\u2026");
            packing.ask(() -> JobPack.of(whole, whole.sheets(), JobPack.STATES), bytes -> write(to, bytes));
        });
    }

    private List<LogEntry> entries() {
        return window.logbook().find(sheet().name(), "");
    }

    private void record() {
        String state = window.logbook().state(job().logbook());
        write(sheet().name() + " record", ".pdf", () -> LogbookPdf.of(job(), sheet().name(), entries(), state));
    }

    private void recordTable() {
        write(sheet().name() + " record", ".csv", () -> LogbookCsv.text(entries())
                .getBytes(StandardCharsets.UTF_8));
    }

    private void write(SheetExport export) {
        export.lack(assembly()).ifPresentOrElse(window::tell, () -> prompt.toWrite("Write to", export.fileName(sheet()))
                .ifPresent(to -> write(to, bytes(export))));
    }

    private byte[] bytes(SheetExport export) {
        try {
            return export.bytes(job(), sheet()).orElseThrow();
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    /** A program of another origin takes the place of the sheet's; what cannot be read is told and changes nothing. */
    private void importProgram() {
        prompt.toRead("Import a program").ifPresent(from -> {
            try {
                String text = PlainFile.text(from);
                Program read = text.stripLeading().startsWith("<") ? PlcOpenXml.read(text) : StructuredText.read(text);
                jobs.edit(sheet().withProgram(Optional.of(read)));
                window.tell("The program of " + from.getFileName()
                        + " has taken the place of the one before; Ctrl+Z takes it back.");
            } catch (IOException unreadable) {
                window.tell("Cannot read " + from.getFileName() + ": " + FileFailure.words(unreadable) + ".");
            } catch (PlcOpenException | StructuredTextException | ProgramException refused) {
                window.tell(from.getFileName() + ": " + refused.getMessage() + ".");
            }
        });
    }

    private void write(String name, String ending, Supplier<byte[]> bytes) {
        String suggested = name.toLowerCase(Locale.ROOT).replace(' ', '-') + ending;
        prompt.toWrite("Write to", suggested).ifPresent(to -> write(to, bytes.get()));
    }

    private void write(Path to, byte[] bytes) {
        if (JobFile.isNameOfJob(to)) {
            window.tell(
                    to.getFileName() + " is the name of a job or a logbook. Nothing is written: choose another name.");
            return;
        }
        try {
            WholeFile.write(to, bytes);
            window.tell("Written to " + to.getFileName() + ".");
        } catch (IOException unwritable) {
            window.tell("Cannot write to " + to + ": " + FileFailure.words(unwritable) + ".");
        }
    }

    private void print() {
        window.tell(Printout.of(assembly(), job().practice(), getScene().getWindow()));
    }
}
