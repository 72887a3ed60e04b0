package yewberry.core.asset;

import java.util.function.Supplier;
import yewberry.core.Sha256;

/**
 * A file from outside by the sum that it is known by, so that who has it already need not get it
 * again.
 *
 * @param bytes fetches all of it
 * @param password that opens it; empty where it opens without one
 */
public record KnownFile(String sha256, Supplier<byte[]> bytes, String password) {
    /** One that opens without a password. */
    public static KnownFile of(byte[] file) {
        return of(file, "");
    }

    public static KnownFile of(byte[] file, String password) {
        return new KnownFile(Sha256.of(file), () -> file, password);
    }

    /** The same with its bytes at hand: they are fetched once, and not each time. */
    public KnownFile fetched() {
        byte[] file = bytes.get();
        return new KnownFile(sha256, () -> file, password);
    }

    /** Without its bytes and its password. */
    @Override
    public String toString() {
        return "KnownFile[" + sha256 + "]";
    }
}
