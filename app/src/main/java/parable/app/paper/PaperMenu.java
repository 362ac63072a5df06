package parable.app.paper;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import parable.app.job.FilePrompt;
import parable.app.job.Latest;
import parable.circuit.Job;
import parable.circuit.Sheet;
import parable.files.CablesCsv;
import parable.files.FileFailure;
import parable.files.IoCsv;
import parable.files.JobFile;
import parable.files.JobPack;
import parable.files.LabelsCsv;
import parable.files.LogbookCsv;
import parable.files.LogbookPdf;
import parable.files.PartsCsv;
import parable.files.PdfFile;
import parable.files.PlainFile;
import parable.files.PlcOpenException;
import parable.files.PlcOpenXml;
import parable.files.SvgFile;
import parable.files.TerminalsCsv;
import parable.files.TestsCsv;
import parable.files.WholeFile;
import parable.files.WiresCsv;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.plc.IoList;
import parable.plc.IoPoint;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;
import parable.wiring.Cable;
import parable.wiring.Cables;
import parable.wiring.Label;
import parable.wiring.Labels;
import parable.wiring.PartsList;
import parable.wiring.TerminalPlan;
import parable.wiring.WireList;

/** Drawings, programs and lists as files, drawings on the printer too. */
public final class PaperMenu extends MenuButton {

    private final Latest packing = new Latest("job pack");
    private final Supplier<Job> job;
    private final Supplier<String> shown;
    private final FilePrompt prompt;
    private final Consumer<String> tell;
    private final Consumer<Sheet> edit;
    private final Supplier<Logbook> logbook;

    /**
     * The menu.
     *
     * @param shown the name of the sheet that is shown
     * @param tell takes what became of it
     * @param edit takes the sheet with another program
     * @param logbook gives the logbook of the job
     * @param title shows the page of the title block
     */
    public PaperMenu(
            Supplier<Job> job,
            Supplier<String> shown,
            FilePrompt prompt,
            Consumer<String> tell,
            Consumer<Sheet> edit,
            Supplier<Logbook> logbook,
            Runnable title) {
        super("Paper");
        this.edit = edit;
        this.logbook = logbook;
        this.job = job;
        this.shown = shown;
        this.prompt = prompt;
        this.tell = tell;
        setId("paper-menu");
        MenuItem print = item("paper-print", "Print this drawing\u2026", this::print);
        print.setAccelerator(new KeyCodeCombination(KeyCode.P, KeyCombination.SHORTCUT_DOWN));
        MenuItem all = item(
                "paper-pdf",
                "All drawings as PDF\u2026",
                () -> pdf(job.get().sheets(), job.get().name()));
        all.setAccelerator(new KeyCodeCombination(KeyCode.E, KeyCombination.SHORTCUT_DOWN));
        getItems()
                .addAll(
                        item("paper-pack", "Job pack as PDF\u2026", this::pack),
                        all,
                        item(
                                "paper-sheet-pdf",
                                "This drawing as PDF\u2026",
                                () -> pdf(List.of(sheet()), sheet().name())),
                        item("paper-svg", "This drawing as SVG\u2026", this::svg),
                        item("paper-places", "Its places as SVG\u2026", this::places),
                        print,
                        item("paper-title", "Title block of all pages\u2026", title),
                        new SeparatorMenuItem(),
                        item(
                                "paper-plcopen",
                                "Its program as PLCopen XML\u2026",
                                () -> program(".xml", PlcOpenXml::write)),
                        item(
                                "paper-st",
                                "Its program as Structured Text\u2026",
                                () -> program(".st", StructuredText::write)),
                        item("paper-io", "Its inputs and outputs as CSV\u2026", this::inputsAndOutputs),
                        new SeparatorMenuItem(),
                        item(
                                "paper-wires",
                                "Its wires as CSV\u2026",
                                () -> table("wires", () -> WiresCsv.text(wires(), sheet().fieldwork()))),
                        item(
                                "paper-terminals",
                                "Its terminal strip as CSV\u2026",
                                () -> table("terminals", () -> TerminalsCsv.text(strip()))),
                        item(
                                "paper-cables",
                                "Its cables as CSV\u2026",
                                () -> table("cables", () -> CablesCsv.text(cables()))),
                        item(
                                "paper-parts",
                                "Its parts as CSV\u2026",
                                () -> table("parts", () -> PartsCsv.text(PartsList.of(assembly())))),
                        item(
                                "paper-tests",
                                "Its test sheet as CSV\u2026",
                                () -> table("tests", () -> TestsCsv.text(tests(), sheet()))),
                        item(
                                "paper-record",
                                "Its record as CSV\u2026",
                                () -> table("record", () -> LogbookCsv.text(entries()))),
                        item("paper-record-pdf", "Its record as PDF\u2026", this::record),
                        item(
                                "paper-labels",
                                "Its labels as CSV\u2026",
                                () -> table("labels", () -> LabelsCsv.text(labels()))),
                        new SeparatorMenuItem(),
                        item("paper-import", "Import a program\u2026", this::importProgram));
    }

    private static MenuItem item(String id, String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> action.run());
        return item;
    }

    private Sheet sheet() {
        return job.get().sheet(shown.get()).orElseThrow();
    }

    private Assembly assembly() {
        try {
            return Assembly.of(sheet());
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void pdf(List<Sheet> sheets, String name) {
        write(name, ".pdf", () -> PdfFile.of(job.get(), sheets));
    }

    /** All of the job on paper. It takes some seconds, beside the window. */
    private void pack() {
        Job whole = job.get();
        String suggested = whole.name().toLowerCase(Locale.ROOT).replace(' ', '-') + "-pack.pdf";
        prompt.toWrite("Write to", suggested).ifPresent(to -> {
            tell.accept("The job pack is being made\u2026");
            packing.ask(() -> JobPack.of(whole, whole.sheets(), JobPack.STATES), bytes -> write(to, bytes));
        });
    }

    private void svg() {
        String title = job.get().name() + ", " + sheet().name();
        write(sheet().name(), ".svg", () -> SvgFile.text(assembly(), job.get().practice(), title)
                .getBytes(StandardCharsets.UTF_8));
    }

    private void places() {
        String title = job.get().name() + ", " + sheet().name() + ", places";
        write(sheet().name() + " places", ".svg", () -> SvgFile.places(assembly(), title)
                .getBytes(StandardCharsets.UTF_8));
    }

    private List<LogEntry> entries() {
        return logbook.get().find(sheet().name(), "");
    }

    private void record() {
        String state = logbook.get().state(job.get().logbook());
        write(sheet().name() + " record", ".pdf", () -> LogbookPdf.of(job.get(), sheet().name(), entries(), state));
    }

    private void table(String what, Supplier<String> text) {
        write(sheet().name() + " " + what, ".csv", () -> text.get().getBytes(StandardCharsets.UTF_8));
    }

    private WireList wires() {
        return WireList.of(assembly(), job.get().practice());
    }

    private List<TestStep> tests() {
        return TestSheet.of(assembly(), job.get().practice());
    }

    private List<TerminalPlan.Line> strip() {
        return TerminalPlan.of(assembly(), job.get().practice());
    }

    private List<Cable> cables() {
        return Cables.of(assembly(), job.get().practice());
    }

    private List<Label> labels() {
        return Labels.of(assembly(), job.get().practice());
    }

    private void program(String ending, Function<Program, String> text) {
        Optional<Program> program = sheet().program();
        if (program.isEmpty()) {
            tell.accept("This sheet has no program.");
        } else {
            write(sheet().name(), ending, () -> text.apply(program.get()).getBytes(StandardCharsets.UTF_8));
        }
    }

    private void inputsAndOutputs() {
        List<IoPoint> points = IoList.of(assembly());
        if (points.isEmpty()) {
            tell.accept("This sheet has no controller.");
        } else {
            write(sheet().name(), ".csv", () -> IoCsv.text(points).getBytes(StandardCharsets.UTF_8));
        }
    }

    /** A program of another origin takes the place of the sheet's; what cannot be read is told and changes nothing. */
    private void importProgram() {
        prompt.toRead("Import a program").ifPresent(from -> {
            try {
                String text = PlainFile.text(from);
                Program read = text.stripLeading().startsWith("<") ? PlcOpenXml.read(text) : StructuredText.read(text);
                edit.accept(sheet().withProgram(Optional.of(read)));
                tell.accept("The program of " + from.getFileName()
                        + " has taken the place of the one before; Ctrl+Z takes it back.");
            } catch (IOException unreadable) {
                tell.accept("Cannot read " + from.getFileName() + ": " + FileFailure.words(unreadable) + ".");
            } catch (PlcOpenException | StructuredTextException | ProgramException refused) {
                tell.accept(from.getFileName() + ": " + refused.getMessage() + ".");
            }
        });
    }

    private void write(String name, String ending, Supplier<byte[]> bytes) {
        String suggested = name.toLowerCase(Locale.ROOT).replace(' ', '-') + ending;
        prompt.toWrite("Write to", suggested).ifPresent(to -> write(to, bytes.get()));
    }

    private void write(Path to, byte[] bytes) {
        if (JobFile.isNameOfJob(to)) {
            tell.accept(
                    to.getFileName() + " is the name of a job or a logbook. Nothing is written: choose another name.");
            return;
        }
        try {
            WholeFile.write(to, bytes);
            tell.accept("Written to " + to.getFileName() + ".");
        } catch (IOException unwritable) {
            tell.accept("Cannot write to " + to + ": " + FileFailure.words(unwritable) + ".");
        }
    }

    private void print() {
        tell.accept(Printout.of(assembly(), job.get().practice(), getScene().getWindow()));
    }
}
