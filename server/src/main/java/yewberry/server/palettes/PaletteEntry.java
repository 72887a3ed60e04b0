package yewberry.server.palettes;

import yewberry.core.color.Color;

/**
 * One colour of a palette file.
 *
 * @param line where it stands, from 1
 */
record PaletteEntry(int line, String name, Wanted wanted) {
    /** What makes it; bases are given by their names. */
    sealed interface Wanted {
        record Values(Color color) implements Wanted {}

        record Spot(Color equivalent) implements Wanted {}

        record TintOf(String base, double percent) implements Wanted {}

        record LighterThan(String base, double percent) implements Wanted {}

        record MixOf(String one, String other, double percent) implements Wanted {}
    }
}
