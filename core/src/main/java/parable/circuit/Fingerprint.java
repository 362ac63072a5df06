package parable.circuit;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** SHA-256 (FIPS 180-4) by which a change shows. */
public final class Fingerprint {

    private Fingerprint() {}

    /** The fingerprint of a text, 64 hexadecimal digits. */
    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The fingerprint of bytes, 64 hexadecimal digits. */
    public static String of(byte[] bytes) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(bytes);
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java platform has SHA-256", impossible);
        }
    }

    /** Adds a part with its length, so that no two lists of parts make the same text. */
    public static void append(StringBuilder all, String part) {
        all.append(part.length()).append(':').append(part).append(';');
    }
}
