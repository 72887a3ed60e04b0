package yewberry.core;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What bytes are known by (FIPS 180-4). */
public final class Sha256 {
    private Sha256() {}

    /** The sum in hexadecimal, 64 digits. */
    public static String of(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing); // every Java has it
        }
    }
}
