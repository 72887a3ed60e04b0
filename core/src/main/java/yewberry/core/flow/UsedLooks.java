package yewberry.core.flow;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Language;
import yewberry.core.publication.Look;
import yewberry.core.text.Looks;

/** The looks that some text was set in, so that it can be set again without the rest. */
final class UsedLooks implements Looks {
    private final Map<UUID, Look> paragraphs = new HashMap<>();
    private final Map<UUID, CharacterLook> characters = new HashMap<>();

    /** Nothing when all are known. */
    private AllLooks source;

    private final Language language;

    UsedLooks(AllLooks source) {
        this.source = source;
        this.language = source.language();
    }

    @Override
    public Language language() {
        return language;
    }

    @Override
    public Look paragraphs(UUID look) {
        return known(paragraphs, look, id -> source.paragraphs(id));
    }

    @Override
    public CharacterLook characters(UUID look) {
        return known(characters, look, id -> source.characters(id));
    }

    private static <T> T known(Map<UUID, T> known, UUID look, Function<UUID, T> find) {
        T found = known.get(look);
        if (found == null) {
            found = find.apply(look);
            known.put(look, found);
        }
        return found;
    }

    /** Lets go of those that are not used; from now on several threads may ask. */
    UsedLooks sealed() {
        source = null;
        return this;
    }

    /** Whether the very same looks were used. */
    boolean areThose(UsedLooks others) {
        return language == others.language
                && sameObjects(paragraphs, others.paragraphs)
                && sameObjects(characters, others.characters);
    }

    private static <T> boolean sameObjects(Map<UUID, T> some, Map<UUID, T> others) {
        return some.size() == others.size()
                && some.entrySet().stream()
                        .allMatch(each -> others.get(each.getKey()) == each.getValue());
    }

    boolean unchangedIn(AllLooks now) {
        return language == now.language()
                && unchanged(paragraphs, now.paragraphs())
                && unchanged(characters, now.characters());
    }

    private static <T extends Element> boolean unchanged(Map<UUID, T> used, Elements<T> now) {
        return used.entrySet().stream()
                .allMatch(each -> now.find(each.getKey()).orElse(null) == each.getValue());
    }
}
