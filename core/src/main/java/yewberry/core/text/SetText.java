package yewberry.core.text;

import java.util.List;

/**
 * The text of a frame, broken into lines and placed.
 *
 * @param segments in reading order
 * @param overset the text that found no room, empty if all of it did
 */
public record SetText(List<Segment> segments, String overset) {}
