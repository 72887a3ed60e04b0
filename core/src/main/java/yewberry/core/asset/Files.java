package yewberry.core.asset;

/** Where the bytes of assets are kept. */
@FunctionalInterface
public interface Files {
    /**
     * @param sha256 in hexadecimal
     * @throws yewberry.core.Refused if there is no such file any more
     */
    byte[] read(String sha256);

    /**
     * What opens a file that came with a password; empty for all others.
     *
     * @param sha256 in hexadecimal
     */
    default String password(String sha256) {
        return "";
    }
}
