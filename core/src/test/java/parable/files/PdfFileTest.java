package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.drafting.Dress;

class PdfFileTest {

    private static String textOf(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void everySheetOfTheJobHasItsPageWithEveryTagAsText() throws IOException {
        Job job = Examples.pressHouse();
        byte[] pdf = PdfFile.of(job, job.sheets());

        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages())
                    .isGreaterThanOrEqualTo(job.sheets().size());
            assertThat(document.getPage(0).getMediaBox().getWidth()).isBetween(841f, 842f);
        }
        String text = textOf(pdf);
        for (Sheet sheet : job.sheets()) {
            assertThat(text).contains(job.name() + ": " + sheet.name());
            sheet.devices().stream().map(Device::tag).forEach(tag -> assertThat(text)
                    .contains(tag));
        }
    }

    @Test
    void northAmericanPagesAreLetter() throws IOException {
        Job job = Dress.of(Examples.pressHouse(), Practice.NORTH_AMERICAN);
        try (PDDocument document = Loader.loadPDF(PdfFile.of(job, job.sheets().subList(0, 1)))) {
            assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(792f);
        }
    }

    @Test
    void aLongLadderGoesOnOverPagesUntilItsLastRung() throws Exception {
        Sheet sheet = Examples.washPump();
        Rung lamp = sheet.control().get(3);
        for (int i = 0; i < 60; i++) {
            sheet = new Edit.InsertRung(Circuit.CONTROL, sheet.control().size(), lamp).on(sheet);
        }
        Job job = Examples.pressHouse().with(List.of(sheet));

        byte[] pdf = PdfFile.of(job, job.sheets());

        assertThat(textOf(pdf))
                .contains("part 1 of", Integer.toString(sheet.control().size()));
        assertThat(firstLines(pdf, 2))
                .as("the columns, and the uprights that go on, between which the lamp was put")
                .isEqualTo("A B C D E F / 7 2");
    }

    /** What is at the top of a page. */
    private static String firstLines(byte[] pdf, int page) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFTextStripper stripper = new PDFTextStripper();
            stripper.setSortByPosition(true);
            stripper.setStartPage(page);
            stripper.setEndPage(page);
            return stripper.getText(document)
                    .lines()
                    .limit(2)
                    .map(String::strip)
                    .collect(Collectors.joining(" / "));
        }
    }
}
