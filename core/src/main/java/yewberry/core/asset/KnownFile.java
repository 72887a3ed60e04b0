package yewberry.core.asset;

import java.util.function.Supplier;
import yewberry.core.Sha256;

/**
 * A file from outside by the sum that it is known by, so that who has it already need not get it
 * again.
 *
 * @param bytes fetches all of it
 */
public record KnownFile(String sha256, Supplier<byte[]> bytes) {
    public static KnownFile of(byte[] file) {
        return new KnownFile(Sha256.of(file), () -> file);
    }
}
