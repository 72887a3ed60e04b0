package yewberry.server.view;

import java.math.BigDecimal;

/**
 * A pair of colours that was typed.
 *
 * @param verdict what the ratio is enough for, in words
 */
public record TypedPair(String text, String backdrop, BigDecimal ratio, String verdict) {}
