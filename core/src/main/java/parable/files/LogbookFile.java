package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.logbook.Breach;
import parable.logbook.LogEntry;
import parable.logbook.LogLine;
import parable.logbook.Logbook;
import parable.logbook.SignedStep;

/** The logbook of a job: a file beside it with one JSON object a line, to which lines are only ever added. */
public final class LogbookFile {

    static final String ENDING = ".logbook.jsonl";
    private static final String SIGNED = "signed";

    private LogbookFile() {}

    /** The logbook that belongs to a job file. */
    public static Path beside(Path job) {
        String name = job.getFileName().toString();
        String bare = name.endsWith(JobFile.ENDING) ? name.substring(0, name.length() - JobFile.ENDING.length()) : name;
        return job.resolveSibling(bare + ENDING);
    }

    /**
     * Reads a logbook; empty if the file does not exist. A line that is no entry is one that cannot be read; whether the lines are as they were made is for
     * {@link Logbook#breach(String)} to say.
     *
     * @throws IOException if the file cannot be read
     */
    public static Logbook read(Path file) throws IOException {
        return Files.exists(file) ? logbook(PlainFile.bytes(file)) : Logbook.EMPTY;
    }

    static Logbook logbook(byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8);
        List<LogLine> lines = new ArrayList<>();
        int begin = 0;
        while (begin < text.length()) {
            int end = text.indexOf('\n', begin);
            String line = text.substring(begin, end < 0 ? text.length() : end);
            lines.add(new LogLine(line, entry(line)));
            begin = end < 0 ? text.length() : end + 1;
        }
        return new Logbook(lines);
    }

    private static Optional<LogEntry> entry(String line) {
        if (!line.startsWith("{")) {
            return Optional.empty();
        }
        try {
            Located read = JsonText.read(line);
            Map<String, String> readings = new LinkedHashMap<>();
            for (Map.Entry<String, Located> one : read.required("readings").fields()) {
                readings.put(one.getKey(), one.getValue().textOrNothing());
            }
            return Optional.of(new LogEntry(
                    read.required("number").count(),
                    read.required("on").textOrNothing(),
                    read.required("by").textOrNothing(),
                    read.required("machine").textOrNothing(),
                    read.required("revision").textOrNothing(),
                    LogEntry.Kind.ofWords(read.required("kind").text()),
                    read.required("text").textOrNothing(),
                    readings,
                    signed(read),
                    read.required("corrects").count(),
                    read.required("before").textOrNothing(),
                    read.required("seal").textOrNothing()));
        } catch (JobFormatException noEntry) {
            return Optional.empty();
        }
    }

    private static List<SignedStep> signed(Located entry) throws JobFormatException {
        List<SignedStep> steps = new ArrayList<>();
        Optional<Located> list = entry.field(SIGNED);
        for (Located one : list.isPresent() ? list.get().entries() : List.<Located>of()) {
            List<String> words = new ArrayList<>();
            for (Located word : one.entries()) {
                words.add(word.textOrNothing());
            }
            if (words.size() != 8) {
                throw one.refused(words.size() + " texts", "eight");
            }
            steps.add(new SignedStep(
                    words.get(0),
                    words.get(1),
                    words.get(2),
                    words.get(3),
                    words.get(4),
                    words.get(5),
                    words.get(6),
                    words.get(7)));
        }
        return steps;
    }

    /**
     * Lets the logbook of a job go with it to another file; one that is there already stays.
     *
     * @throws IOException if it could not be copied
     */
    public static void follow(Path job, Path to) throws IOException {
        Path from = beside(job);
        Path target = beside(to);
        if (Files.exists(from) && !Files.exists(target)) {
            WholeFile.write(target, PlainFile.bytes(from));
        }
    }

    /**
     * Puts a last line in order that is not whole, as a power cut leaves it: one that lacks nothing but its end gets that, half a line is kept in a file of its
     * own beside the logbook, and an entry says so.
     *
     * @param on the time, such as {@code 2026-11-26T09:15:00}
     * @return what was done, in words; empty if there was nothing to do
     * @throws IOException if it could not be done; the logbook is as it was then
     */
    public static Optional<String> mend(Path file, String on) throws IOException {
        if (!Files.exists(file) || endsWell(PlainFile.bytes(file))) {
            return Optional.empty();
        }
        try (Appending appending = new Appending(file)) {
            return appending.mend(on);
        }
    }

    private static boolean endsWell(byte[] bytes) {
        return bytes.length == 0 || bytes[bytes.length - 1] == '\n';
    }

    /**
     * Makes an entry and sees to it that it is on the disk. If the logbook is not as it was made, an entry before it says so.
     *
     * @param on the time, such as {@code 2026-11-26T09:15:00}
     * @param last the seal of a line that must be in the logbook, empty for none
     * @return the logbook as it is then
     * @throws IOException if it could not be written; the entries that were there are untouched
     */
    public static Logbook add(Path file, Logbook.Draft draft, String on, String last) throws IOException {
        try (Appending appending = new Appending(file)) {
            appending.mend(on);
            Logbook logbook = appending.logbook();
            Optional<Breach> breach = logbook.breach(last);
            if (breach.isPresent()) {
                logbook = appending.add(logbook, logbook.next(breach.get(), on));
            }
            return appending.add(logbook, logbook.next(draft, on));
        }
    }

    /** The file while lines are added to it, locked against other windows. */
    private static final class Appending implements AutoCloseable {

        private final Path file;
        private final FileChannel channel;

        Appending(Path file) throws IOException {
            this.file = file;
            channel = FileChannel.open(
                    file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
            try {
                channel.lock();
            } catch (IOException | RuntimeException unlocked) {
                channel.close();
                throw unlocked;
            }
        }

        Logbook logbook() throws IOException {
            return LogbookFile.logbook(bytes());
        }

        private byte[] bytes() throws IOException {
            PlainFile.refuseLarger(file, channel.size());
            ByteBuffer bytes = ByteBuffer.allocate((int) channel.size());
            while (bytes.hasRemaining() && channel.read(bytes, bytes.position()) >= 0) {
                continue;
            }
            return bytes.array();
        }

        Optional<String> mend(String on) throws IOException {
            byte[] bytes = bytes();
            if (endsWell(bytes)) {
                return Optional.empty();
            }
            Logbook found = LogbookFile.logbook(bytes);
            if (found.lines().get(found.lines().size() - 1).isSound()) {
                write("\n".getBytes(StandardCharsets.UTF_8));
                return Optional.of("The last line of the logbook lacked its end; it has it again.");
            }
            int whole = bytes.length;
            while (whole > 0 && bytes[whole - 1] != '\n') {
                whole--;
            }
            byte[] half = new byte[bytes.length - whole];
            System.arraycopy(bytes, whole, half, 0, half.length);
            Path aside = WholeFile.beside(file, ".half-line");
            WholeFile.writeThrough(aside, half);
            channel.truncate(whole);
            Logbook rest = new Logbook(found.lines().subList(0, found.lines().size() - 1));
            String words =
                    "The last line was not whole, as a power cut leaves it; it is kept in " + aside.getFileName() + ".";
            add(rest, rest.next(new Breach(rest.lines().size() + 1, words, ""), on));
            return Optional.of(words);
        }

        Logbook add(Logbook logbook, LogEntry entry) throws IOException {
            LogLine line = LogLine.sealed(entry, object(entry));
            write((line.text() + "\n").getBytes(StandardCharsets.UTF_8));
            return logbook.with(line);
        }

        private void write(byte[] more) throws IOException {
            long length = channel.size();
            channel.position(length);
            try {
                ByteBuffer bytes = ByteBuffer.wrap(more);
                while (bytes.hasRemaining()) {
                    channel.write(bytes);
                }
                channel.force(true);
            } catch (IOException half) {
                channel.truncate(length);
                throw half;
            }
        }

        @Override
        public void close() throws IOException {
            channel.close();
        }
    }

    private static String object(LogEntry entry) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("number", entry.number());
        node.put("on", entry.on());
        node.put("by", entry.by());
        node.put("machine", entry.machine());
        node.put("revision", entry.revision());
        node.put("kind", entry.kind().words());
        node.put("text", entry.text());
        ObjectNode readings = node.putObject("readings");
        entry.readings().forEach(readings::put);
        if (!entry.signed().isEmpty()) {
            ArrayNode signed = node.putArray(SIGNED);
            entry.signed().forEach(step -> signed.addArray()
                    .add(step.step())
                    .add(step.expected())
                    .add(step.found())
                    .add(step.verdict())
                    .add(step.remark())
                    .add(step.by())
                    .add(step.on())
                    .add(step.revision()));
        }
        node.put("corrects", entry.corrects());
        node.put("before", entry.before());
        return Surrogates.escaped(node.toString());
    }
}
