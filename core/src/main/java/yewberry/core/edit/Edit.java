package yewberry.core.edit;

import java.util.List;

/**
 * One thing a designer does. What an edit adds brings its id along, so that sending it twice cannot
 * add it twice. What changes properties may say what it was made from ({@code was}): then only
 * those that differ from that are changed, and others keep what they were given meanwhile. {@link
 * Editing} applies it.
 */
public sealed interface Edit
        permits Edit.Several,
                PublicationEdit,
                PageEdit,
                ParentEdit,
                SwatchEdit,
                LookEdit,
                AssetEdit,
                CharacterLookEdit,
                RecipeEdit,
                BackgroundEdit,
                FrameEdit,
                StoryEdit,
                ExemptionEdit {
    /** Several edits as one step: all of them or none. */
    record Several(List<Edit> edits) implements Edit {}
}
