package yewberry.server.web;

import java.io.IOException;

/** A request body over the limit. The message is for people. */
public final class TooLarge extends IOException {
    private static final long serialVersionUID = 1L;

    TooLarge(long limit) {
        super(
                limit > 100L << 20
                        ? "This file is larger than %d MB; make it smaller.".formatted(limit >> 20)
                        : "This is more than the %d MB that one request may have; do it in smaller steps."
                                .formatted(limit >> 20));
    }
}
