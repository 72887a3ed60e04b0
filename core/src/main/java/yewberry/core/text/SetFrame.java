package yewberry.core.text;

import java.util.List;

/**
 * The text of one frame, broken into lines and placed.
 *
 * @param segments in reading order
 * @param end what comes next in the story, and found no room
 */
public record SetFrame(List<Segment> segments, StoryPlace end) {}
