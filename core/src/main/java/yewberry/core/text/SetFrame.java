package yewberry.core.text;

import java.util.List;

/**
 * The text of one frame, broken into lines and placed.
 *
 * @param segments in reading order
 * @param panels what lies behind paragraphs and around them, from the lowest up
 * @param end what comes next in the story, and found no room
 */
public record SetFrame(List<Segment> segments, List<SetPanel> panels, StoryPlace end) {}
