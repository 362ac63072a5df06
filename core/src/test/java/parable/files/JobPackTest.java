package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Revision;
import parable.circuit.Sheet;
import parable.circuit.TitleBlock;
import parable.circuit.WiringMethod;
import parable.drafting.Dress;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;
import parable.wiring.Wire;
import parable.wiring.WireList;

class JobPackTest {

    private static String textOf(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void everythingOfASheetIsInItAsText() throws IOException {
        Job job = Examples.pressHouse();
        Sheet pump = job.sheets().get(0).withFieldwork(Fieldwork.NONE.by(WiringMethod.TERMINAL_STRIP));
        String text = textOf(JobPack.of(job.with(List.of(pump)), List.of(pump), JobPack.STATES));

        assertThat(text).contains("Isolate, lock out, tag out and prove dead", "risk assessment", Revision.of(pump));
        assertThat(text)
                .contains(
                        "Wash pump, parts",
                        "Wash pump, wires",
                        "Wash pump, terminal strip",
                        "Wash pump, cables",
                        "Wash pump, places",
                        "Wash pump, test sheet",
                        "Wash pump, proof of circuit " + Revision.of(pump));
        for (Wire wire : WireList.of(Examples.fitted(pump), Practice.IEC).wires()) {
            assertThat(text).contains(wire.from() + " " + wire.to());
        }
        for (TestStep step : TestSheet.of(Examples.fitted(pump), Practice.IEC).subList(0, 20)) {
            assertThat(text).contains(step.words());
        }
        assertThat(text)
                .contains(
                        "Holds at any speed",
                        "What the proof leaves out",
                        "requirement",
                        "description",
                        "Panel, from the front",
                        "Door, from behind, mirrored");
        assertThat(text).doesNotContain("not finished");
    }

    @Test
    void whatItDoesAndWhatItsSymbolsMeanAreInIt() throws IOException {
        Sheet mill = Examples.ofLibrary("Mill");
        Job job = Examples.pressHouse().with(List.of(mill));
        Job titled = job.with(job.conventions().with(new TitleBlock("TH-12", "B", "12 March", "R. Vane", "")));
        String text = textOf(JobPack.of(titled, List.of(mill), JobPack.STATES));

        assertThat(text)
                .contains(
                        "Drawing TH-12",
                        "Rev. B",
                        "Date 12 March",
                        "Drawn R. Vane",
                        "Checked",
                        "Circuit " + Revision.of(mill),
                        "Mill, symbols",
                        "mechanical interlock: never both in",
                        "M1, Apple mill: 18.5 kW, 35 A, 400 V AC.",
                        "What it does Switched on and untouched, the sheet ends with this: no motor runs. S1, pressed from rest and held, ends with this: M1 runs forward, KM and KD are in, P1 is on.",
                        "as long as nothing is broken No two points of different potential are ever joined without a load.")
                .doesNotContain("What does not hold", "What was not proved");
    }

    /** What was not proved is not said to be so, and what fails is said to fail. */
    @Test
    void theFunctionClaimsNoMoreThanWasProved() throws IOException {
        Sheet spoilt = Examples.ofLibrary("Stops in parallel");
        Job job = Examples.pressHouse().with(List.of(spoilt));

        assertThat(textOf(JobPack.of(job, List.of(spoilt), JobPack.STATES)))
                .containsPattern("What does not hold [^#]*While S0 is held every motor comes to have no current");
    }

    @Test
    void aProgramAndItsInputsAreInIt() throws IOException {
        Job job = Examples.pressHouse();
        Sheet rinser = job.sheet("Bottle rinser").orElseThrow();
        String text = textOf(JobPack.of(job, List.of(rinser), 1000));

        assertThat(text).contains("Bottle rinser, program", "END_PROGRAM", "Bottle rinser, inputs and outputs");
        assertThat(text).contains("not finished or not reached and so not proved", "What was not proved");
    }

    /** Sheets are written as they are worked out, and bound in the order of the job behind the cover. */
    @Test
    void sheetsStandInTheOrderOfTheJobAndPagesAreCounted() throws IOException {
        Job job = Examples.pressHouse();
        List<Sheet> sheets = Stream.of("Press platen", "Wash pump", "Mill")
                .map(name -> job.sheet(name).orElseThrow())
                .toList();
        byte[] pack = JobPack.of(job, sheets, 1000);
        String text = textOf(pack);
        int pages;
        try (PDDocument document = Loader.loadPDF(pack)) {
            pages = document.getNumberOfPages();
        }

        List<Integer> numbers = Pattern.compile("Page (\\d+) of " + pages)
                .matcher(text)
                .results()
                .map(found -> Integer.parseInt(found.group(1)))
                .toList();
        assertThat(numbers).isEqualTo(IntStream.rangeClosed(1, pages).boxed().toList());
        assertThat(text.indexOf("risk assessment"))
                .isLessThan(text.indexOf("Press platen, wires"))
                .isPositive();
        assertThat(text.indexOf("Press platen, wires")).isLessThan(text.indexOf("Wash pump, wires"));
        assertThat(text.indexOf("Wash pump, wires")).isLessThan(text.indexOf("Mill, wires"));
    }

    @Test
    void pagesAreOfThePaperOfThePractice() throws IOException {
        Job job = Dress.of(Examples.pressHouse(), Practice.NORTH_AMERICAN);
        Sheet auger = job.sheet("Pomace auger").orElseThrow();
        try (PDDocument document = Loader.loadPDF(JobPack.of(job, List.of(auger), 1000))) {
            assertThat(document.getPages()).allMatch(page -> page.getMediaBox().getWidth() == 792f);
        }
    }
}
