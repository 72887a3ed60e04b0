package yewberry.core.publication;

import java.util.UUID;

/** That an element needs another. */
public record Reference(Kind kind, UUID id) {
    /** What is referred to; pages, backgrounds and frames are not. */
    public enum Kind {
        SWATCH("swatch"),
        LOOK("look"),
        CHARACTER_LOOK("character look"),
        ASSET("picture"),
        PARENT("parent"),
        RECIPE("recipe"),
        STORY("story");

        private final String inWords;

        Kind(String inWords) {
            this.inWords = inWords;
        }

        public String inWords() {
            return inWords;
        }
    }

    static Reference swatch(UUID id) {
        return new Reference(Kind.SWATCH, id);
    }

    static Reference look(UUID id) {
        return new Reference(Kind.LOOK, id);
    }

    static Reference characterLook(UUID id) {
        return new Reference(Kind.CHARACTER_LOOK, id);
    }

    static Reference asset(UUID id) {
        return new Reference(Kind.ASSET, id);
    }

    static Reference parent(UUID id) {
        return new Reference(Kind.PARENT, id);
    }

    static Reference recipe(UUID id) {
        return new Reference(Kind.RECIPE, id);
    }

    static Reference story(UUID id) {
        return new Reference(Kind.STORY, id);
    }
}
