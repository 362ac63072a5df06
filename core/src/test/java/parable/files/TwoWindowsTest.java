package parable.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import parable.Examples;
import parable.logbook.Logbook;

/** Windows that are processes of their own: locks work otherwise between these than within one. */
class TwoWindowsTest {

    private static final int TURNS = 300;

    @TempDir
    private Path folder;

    private Path file;

    @BeforeEach
    void makeFile() throws Exception {
        file = Files.writeString(folder.resolve("mine.parable.json"), "{}");
    }

    @Test
    void whatAnotherWindowHasIsRefusedUntilThatIsGone() throws Exception {
        try (OtherWindow.Running other = OtherWindow.Running.start("claim", file)) {
            assertThat(other.said()).isEqualTo("held");
            assertThat(FileClaim.on(file)).isEmpty();
            assertThat(FileClaim.on(file)).isEmpty();
            assertThat(folder.resolve(".mine.parable.json.open"))
                    .content()
                    .isEqualTo("Open in Parable, process " + other.process().pid() + "\n");
        }
        try (FileClaim mine = FileClaim.on(file).orElseThrow()) {
            assertThat(mine.isOn(folder.resolve(".mine.parable.json.open"))).isTrue();
        }
        assertThat(folder.resolve(".mine.parable.json.open")).doesNotExist();
    }

    /** Neither asking again, by its name or by a link, nor the folder looked at gives it to another window. */
    @Test
    void whatThisWindowHasAnotherIsRefused() throws Exception {
        Path link = Files.createSymbolicLink(folder.resolve("link.parable.json"), file);
        try (FileClaim mine = FileClaim.on(file).orElseThrow()) {
            assertThat(mine).isNotNull();
            assertThat(FileClaim.on(link)).isEmpty();
            assertThat(FileClaim.on(file)).isEmpty();
            try (OtherWindow.Running other = OtherWindow.Running.start("claim", file)) {
                assertThat(other.said()).isEqualTo("refused");
            }
        }
        try (OtherWindow.Running other = OtherWindow.Running.start("claim", file)) {
            assertThat(other.said()).isEqualTo("held");
        }
    }

    @Test
    void threeWindowsThatTakeItByTurnsNeverHaveItTogether() throws Exception {
        String many = Integer.toString(TURNS);
        try (OtherWindow.Running one = OtherWindow.Running.start("turns", file, many);
                OtherWindow.Running two = OtherWindow.Running.start("turns", file, many)) {
            assertThat(OtherWindow.turns(file, TURNS)).isEqualTo("alone each time");
            assertThat(one.said()).isEqualTo("alone each time");
            assertThat(two.said()).isEqualTo("alone each time");
        }
    }

    @Test
    void theWorkOfAnotherLivingWindowIsNotOfferedAndStays() throws Exception {
        try (OtherWindow.Running other = OtherWindow.Running.start("journal", folder)) {
            assertThat(other.said()).isEqualTo("kept");
            Journal mine = new Journal(folder);
            mine.keep(new Journal.Work(Examples.pressHouse(), Optional.empty(), Optional.empty()));
            assertThat(mine.leftBehind().work()).isEmpty();
            assertThat(new Journal(folder).leftBehind().work()).isEmpty();
        }
        Journal next = new Journal(folder);
        assertThat(next.leftBehind().work()).hasSize(1);
        next.release();
    }

    @Test
    void entriesOfTwoWindowsAtOnceAreAllInTheLogbookAndSealed() throws Exception {
        Path logbook = LogbookFile.beside(file);
        try (OtherWindow.Running other = OtherWindow.Running.start("log", logbook, "40")) {
            assertThat(OtherWindow.log(logbook, 40)).isEqualTo("logged");
            assertThat(other.said()).isEqualTo("logged");
        }
        Logbook whole = LogbookFile.read(logbook);
        assertThat(whole.lines()).hasSize(80);
        assertThat(whole.breach("")).isEmpty();
    }
}
