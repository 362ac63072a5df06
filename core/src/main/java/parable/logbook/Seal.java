package parable.logbook;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4) of a text. */
final class Seal {

    private Seal() {}

    static String of(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java platform has SHA-256", impossible);
        }
    }

    /** Adds a part with its length, so that no two lists of parts make the same text. */
    static void append(StringBuilder all, String part) {
        all.append(part.length()).append(':').append(part).append(';');
    }
}
